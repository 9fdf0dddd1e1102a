import type { WayId } from '../forms/wayId';
import { type Break, breaksOf } from './breaksOf';
import { makeSchedule, type Schedule, scheduleBackwards } from './makeSchedule';
import { ownPace, type WorkedPiece } from './ownPace';
import type { Phase } from './practiceMinutes';
import { mostReady, type Promised, type Readiness, readiness, SURE } from './readiness';
import { HANDS, type Minute, type Span, type WorkHours } from './task';
import { BASIN, type Joining, joiningTask, RACK, tasksOfWork, type Work, type WorkTask } from './workTasks';

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

const paceOfOpen = (paced: readonly WorkedPiece[]) => {
  const known = new Map<string, ReturnType<typeof ownPace>>();
  return (phase: Phase, way: WayId): ReturnType<typeof ownPace> => {
    const key = `${phase} ${way}`;
    const pace = known.get(key) ?? ownPace(paced, { phase, way });
    known.set(key, pace);
    return pace;
  };
};

const workHours = (open: OpenWork): WorkHours => ({
  hours: open.hours,
  capacity: { [HANDS]: 1, [BASIN]: open.basins, [RACK]: open.rackPlaces },
  sittingMin: open.sittingMin,
  restMin: open.restMin,
});

/** Tasks of everything that is open, and which of them end each work and joining. */
const tasksOfOpen = (
  open: OpenWork,
): { tasks: readonly WorkTask[]; last: ReadonlyMap<string, readonly string[]> } => {
  const paceOf = paceOfOpen(open.paced);
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

/** When a promise is likely to be ready, and how much of it can be by its day. */
export interface PromiseReadiness extends Readiness {
  /** Of all that is still to be made for it, how many are ready by its day eight times in ten; null where all are, or there is no day. */
  readonly most: number | null;
  /** How many are still to be made. */
  readonly toMake: number;
  /** The chance if it dries over warm air, and if there were an hour more of hands each day; null where it is ready anyway. */
  readonly ifWarm: number | null;
  readonly ifLonger: number | null;
}

/** Draws for each number that is tried. */
const TRY_DRAWS = 100;

/** The open work with only so many of a promise to be made, spread over its works as they are; they sum to it. */
const withFewer = (
  open: OpenWork,
  { of }: OpenPromise,
  { count, toMake }: { readonly count: number; readonly toMake: number },
): OpenWork => {
  let before = 0;
  return {
    ...open,
    works: open.works.flatMap(w => {
      if (!of.includes(w.id)) return [w];
      const upTo = before + w.count - w.felted;
      const left = Math.round((upTo * count) / toMake) - Math.round((before * count) / toMake);
      before = upTo;
      return w.felted + left > 0 ? [{ ...w, count: w.felted + left }] : [];
    }),
  };
};

/** Warm air against a room. Common practice; as `dryingHours` has it. */
const WARM_SHARE = 0.4;
const withWarmAir = (open: OpenWork, { of }: OpenPromise): OpenWork => ({
  ...open,
  works: open.works.map(w =>
    of.includes(w.id) && w.air === 'room' ? { ...w, air: 'warm', dryH: WARM_SHARE * w.dryH } : w,
  ),
});

/** An hour more at the end of each stretch of hours, as far as the next one leaves room. */
const withLongerHours = (open: OpenWork): OpenWork => ({
  ...open,
  hours: open.hours.map((h, i) => ({
    start: h.start,
    end: Math.min(h.end + 60, open.hours[i + 1]?.start ?? Number.POSITIVE_INFINITY),
  })),
});

/** The chance of one promise in work that was changed, from fewer draws. */
const chanceIn = (open: OpenWork, promise: OpenPromise): number => {
  const { tasks, last } = tasksOfOpen(open);
  const work = workHours(open);
  const ends = [{ id: promise.id, due: promise.due, tasks: promise.of.flatMap(id => last.get(id) ?? []) }];
  const { rank } = makeSchedule(tasks, work, 0);
  return readiness(tasks, ends, { work, rank, draws: TRY_DRAWS })[0]?.chance ?? 0;
};

/**
 * How likely each promise is to be ready by its day; where it is not, the most that can be.
 * @param rank the order, as `planWork` has it
 */
export const readinessOf = (
  open: OpenWork,
  rank: readonly number[],
  progress?: (done: number, of: number) => void,
): readonly PromiseReadiness[] => {
  const { tasks, last } = tasksOfOpen(open);
  const work = workHours(open);
  const promisedOf = (all: ReadonlyMap<string, readonly string[]>): readonly Promised[] =>
    open.promises.map(p => ({ id: p.id, due: p.due, tasks: p.of.flatMap(id => all.get(id) ?? []) }));
  const found = readiness(tasks, promisedOf(last), { work, rank });
  return found.map((ready, i) => {
    progress?.(i, found.length);
    const promise = open.promises[i];
    const toMake = open.works
      .filter(w => promise?.of.includes(w.id))
      .reduce((sum, w) => sum + w.count - w.felted, 0);
    if (!promise || ready.chance === null || ready.chance >= SURE)
      return { ...ready, most: null, toMake, ifWarm: null, ifLonger: null };
    const isDried = open.works.some(w => promise.of.includes(w.id) && w.air === 'room');
    return {
      ...ready,
      toMake,
      most:
        toMake < 2
          ? null
          : mostReady(toMake - 1, count => chanceIn(withFewer(open, promise, { count, toMake }), promise)),
      ifWarm: isDried ? chanceIn(withWarmAir(open, promise), promise) : null,
      ifLonger: chanceIn(withLongerHours(open), promise),
    };
  });
};
