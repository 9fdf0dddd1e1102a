import { type Break, breaksOf } from './breaksOf';
import { makeSchedule, type Schedule, scheduleBackwards } from './makeSchedule';
import { pacesOf, type WorkedPiece } from './ownPace';
import { HANDS, type Minute, type Span, type WorkHours } from './task';
import { joiningTask, tasksOfWork } from './workTasks';
import { BASIN, type Joining, RACK, type Work, type WorkTask } from './work';

/** Something that was promised: which works and joinings are to be ready for it. */
export interface OpenPromise {
  readonly id: string;
  readonly due: Minute | null;
  /** Works or joinings that must be over. */
  readonly of: readonly string[];
}

/** All the work of a workshop, and what it is laid into. Moments count in minutes from now. */
export interface OpenWork {
  readonly works: readonly Work[];
  readonly joinings: readonly Joining[];
  readonly promises: readonly OpenPromise[];
  /** What the maker's own pieces took. */
  readonly paced: readonly WorkedPiece[];
  readonly hours: readonly Span[];
  /** Hours that are past, in minutes before now: to tell when something should have begun. */
  readonly pastHours: readonly Span[];
  readonly sittingMin: number;
  readonly restMin: number;
  readonly basins: number;
  readonly rackPlaces: number;
  /** Tasks that were put by hand, and when they begin. */
  readonly moved: ReadonlyArray<{ readonly task: string; readonly at: Minute }>;
  readonly direction: 'early' | 'late';
}

export interface PlannedWork extends Schedule {
  readonly tasks: readonly WorkTask[];
  readonly breaks: readonly Break[];
  /** Laid in backwards, it would have had to begin so long ago: then it is laid in forwards. 0 where it is in time. */
  readonly shortMin: Minute;
}

export const workHours = (open: OpenWork): WorkHours => ({
  hours: open.hours,
  capacity: { [HANDS]: 1, [BASIN]: open.basins, [RACK]: open.rackPlaces },
  sittingMin: open.sittingMin,
  restMin: open.restMin,
});

/** Tasks of everything that is open, and which of them end each work and joining. */
export const tasksOfOpen = (
  open: OpenWork,
): { tasks: readonly WorkTask[]; last: ReadonlyMap<string, readonly string[]> } => {
  const paceOf = pacesOf(open.paced);
  const last = new Map<string, readonly string[]>();
  const tasks: WorkTask[] = [];
  for (const work of open.works) {
    const made = tasksOfWork(work, { paceOf, sittingMin: open.sittingMin });
    last.set(work.id, made.last);
    tasks.push(...made.tasks);
  }
  for (const joining of open.joinings) {
    const task = joiningTask(
      joining,
      joining.of.flatMap(id => last.get(id) ?? []),
    );
    last.set(joining.id, [task.id]);
    tasks.push(task);
  }
  // What was put by hand and is past by now slid: it is laid in like everything else.
  const moved = new Map(open.moved.filter(m => m.at >= 0).map(m => [m.task, m.at]));
  return { tasks: tasks.map(t => ({ ...t, startAt: moved.get(t.id) ?? null })), last };
};

/**
 * Lays all open work into the maker's hours, forwards, or backwards from the days; and says what that breaks.
 * What would have to begin before now is laid in forwards instead, and told.
 */
export const planWork = (open: OpenWork): PlannedWork => {
  const { tasks } = tasksOfOpen(open);
  const work = workHours(open);
  const dues = tasks.flatMap(t => t.due ?? []);
  // Where what is most pressing first is in time, that is the order: swaps would only shuffle a maker's week from one minute to the next.
  const forwards = (): Schedule => {
    const plain = makeSchedule(tasks, work, 0);
    const isLate = breaksOf(tasks, plain.placed, work).some(b => b.is === 'late');
    return isLate || plain.unplaced.length > 0 ? makeSchedule(tasks, work) : plain;
  };
  if (open.direction === 'early' || dues.length === 0) {
    const made = forwards();
    return { ...made, tasks, shortMin: 0, breaks: breaksOf(tasks, made.placed, work) };
  }
  const sinceThen = { ...work, hours: [...open.pastHours, ...work.hours] };
  const late = scheduleBackwards(tasks, sinceThen, Math.max(0, ...dues));
  const isInTime = late.shortMin === 0 && late.unplaced.length === 0;
  const made = isInTime ? late : forwards();
  // What has no place in the hours that are looked back over is short by all of them.
  const lookedBack = late.unplaced.length > 0 ? -(open.pastHours[0]?.start ?? 0) : 0;
  const shortMin = Math.max(late.shortMin, lookedBack);
  return { ...made, tasks, shortMin, breaks: breaksOf(tasks, made.placed, work) };
};
