import { normal, seeded } from '../numeric/random';
import { layIn } from './layIn';
import { problemOf } from './problem';
import type { Minute, Task, WorkHours } from './task';

/** How sure it is how long something takes: deviations of its logarithm. */
export interface Spread {
  /** What makes all of a kind longer or shorter alike: the maker's own pace, this room's air. */
  readonly shared: ReadonlyArray<{ readonly key: string; readonly sd: number }>;
  /** What makes just this one longer or shorter. */
  readonly own: number;
}

/** A task with how sure its time of hands and its wait are. */
export interface PacedTask extends Task {
  readonly pace: Spread;
  readonly wait: Spread;
}

/** What is wanted together: all of these over. */
export interface Promised {
  readonly id: string;
  readonly tasks: readonly string[];
  /** Null for no day. */
  readonly due: Minute | null;
}

/** When a promise is likely to be ready. */
export interface Readiness {
  readonly id: string;
  /** Of the draws, the share in which it was ready by its day, 0 to 1; null without a day. */
  readonly chance: number | null;
  /** Eight in ten draws are ready by then; null where not so many find a place in the maker's hours. */
  readonly likelyBy: Minute | null;
  /** Half are. */
  readonly middle: Minute | null;
  /** One in ten is as early as this. */
  readonly earliest: Minute | null;
  /** Nine in ten are. */
  readonly latest: Minute | null;
}

/** How often the paces are drawn. */
const DRAWS = 500;
const SEED = 8;
/** Said to be ready: eight in ten. */
export const SURE = 0.8;

const longer = (
  minutes: Minute,
  spread: Spread,
  of: { shared: (key: string) => number; own: number },
): Minute =>
  minutes === 0
    ? 0
    : Math.max(
        1,
        Math.round(
          minutes *
            Math.exp(spread.shared.reduce((sum, s) => sum + s.sd * of.shared(s.key), spread.own * of.own)),
        ),
      );

/** The tasks as one draw has them. @param random draws are taken in a fixed order, so that the same work is drawn alike */
export const drawn = (tasks: readonly PacedTask[], random: () => number): readonly Task[] => {
  const known = new Map<string, number>();
  const shared = (key: string): number => {
    const was = known.get(key);
    if (was !== undefined) return was;
    const z = normal(random);
    known.set(key, z);
    return z;
  };
  return tasks.map(task => ({
    ...task,
    minutes: longer(task.minutes, task.pace, { shared, own: normal(random) }),
    waitMin: longer(task.waitMin, task.wait, { shared, own: normal(random) }),
  }));
};

const quantile = (sorted: readonly number[], share: number): number | null => {
  const at = sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)] ?? Number.POSITIVE_INFINITY;
  return Number.isFinite(at) ? at : null;
};

/**
 * How likely what is promised is to be ready: the paces drawn 500 times, each time laid in anew in the order of the schedule.
 * @param of.rank the order, as `makeSchedule` has it  @param of.draws left out, 500
 */
export const readiness = (
  tasks: readonly PacedTask[],
  promised: readonly Promised[],
  of: {
    readonly work: WorkHours;
    readonly rank: readonly number[];
    readonly draws?: number;
    readonly seed?: number;
  },
): readonly Readiness[] => {
  const random = seeded(of.seed ?? SEED);
  // What is planned for one go and takes longer than any of the hours: the maker stays on.
  const longest = Math.max(1, ...of.work.hours.map(h => h.end - h.start));
  const staysOn = (task: Task, i: number): Task =>
    task.mayPause || task.minutes <= longest || (tasks[i]?.minutes ?? 0) > longest
      ? task
      : { ...task, minutes: longest };
  const places = new Map(tasks.map((t, i) => [t.id, i]));
  const ends = promised.map((): number[] => []);
  for (let draw = 0; draw < (of.draws ?? DRAWS); draw += 1) {
    const laid = layIn(problemOf(drawn(tasks, random).map(staysOn), of.work), of.rank);
    promised.forEach((promise, p) => {
      const overs = promise.tasks.map(id => laid[places.get(id) ?? -1]?.overAt ?? Number.POSITIVE_INFINITY);
      ends[p]?.push(Math.max(0, ...overs));
    });
  }
  return promised.map(({ id, due }, p) => {
    const sorted = (ends[p] ?? []).toSorted((a, b) => a - b);
    const inTime = due === null ? 0 : sorted.filter(end => end <= due).length;
    return {
      id,
      chance: due === null ? null : inTime / sorted.length,
      likelyBy: quantile(sorted, SURE),
      middle: quantile(sorted, 0.5),
      earliest: quantile(sorted, 0.1),
      latest: quantile(sorted, 0.9),
    };
  });
};

/**
 * How many can be made by a day: the most for which eight in ten draws are ready. More take no less time, so it is found by halving.
 * @param most how many are wanted  @param chanceOf the chance that so many are ready, 0 to 1
 */
export const mostReady = (most: number, chanceOf: (count: number) => number): number => {
  let sure = 0;
  let beyond = most + 1;
  while (beyond - sure > 1) {
    const middle = (sure + beyond) >> 1;
    if (chanceOf(middle) >= SURE) sure = middle;
    else beyond = middle;
  }
  return sure;
};
