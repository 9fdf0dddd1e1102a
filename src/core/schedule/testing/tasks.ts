import type { PacedTask } from '../readiness';
import { HANDS, type Minute, type Placed, type Task, type WorkHours } from '../task';

/** A task of hands, for a test: everything that is not said is as plain as can be. */
export const task = (id: string, minutes: Minute, of: Partial<Task> = {}): Task => ({
  id,
  minutes,
  waitMin: 0,
  after: [],
  uses: [{ resource: HANDS, count: 1 }],
  keeps: [],
  mayPause: false,
  tires: false,
  rightOn: false,
  from: null,
  due: null,
  startAt: null,
  ...of,
});

/** The same, with paces that are known exactly unless a spread is given. */
export const paced = (id: string, minutes: Minute, of: Partial<PacedTask> = {}): PacedTask => ({
  ...task(id, minutes),
  pace: { shared: [], own: 0 },
  wait: { shared: [], own: 0 },
  ...of,
});

/** Hours with hands for one; more of other things where a test says so. */
export const hours = (
  spans: ReadonlyArray<readonly [start: Minute, end: Minute]>,
  of: Partial<WorkHours> = {},
): WorkHours => ({
  hours: spans.map(([start, end]) => ({ start, end })),
  capacity: { [HANDS]: 1 },
  sittingMin: null,
  restMin: 0,
  ...of,
});

/** A plain machine shop: jobs of operations, each on one machine for so long, one after the other. Rows: machine, time, machine, time … */
export const jobShop = (table: string): { tasks: readonly Task[]; work: WorkHours } => {
  const rows = table
    .trim()
    .split('\n')
    .map(line => line.trim().split(/\s+/).map(Number));
  const tasks = rows.flatMap((row, job) =>
    row.flatMap((machine, i) =>
      i % 2 === 0
        ? [
            task(`${job}.${i / 2}`, row[i + 1] ?? 0, {
              after: i === 0 ? [] : [`${job}.${i / 2 - 1}`],
              uses: [{ resource: `machine ${machine}`, count: 1 }],
            }),
          ]
        : [],
    ),
  );
  const capacity = Object.fromEntries(tasks.flatMap(t => t.uses.map(u => [u.resource, 1])));
  return { tasks, work: { hours: [], capacity, sittingMin: null, restMin: 0 } };
};

/** When all is over. */
export const endOf = (placed: readonly Placed[]): Minute => Math.max(0, ...placed.map(p => p.overAt));
