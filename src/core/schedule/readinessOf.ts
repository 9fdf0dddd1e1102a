import { AIR_SHARE } from '../finishing/dryingHours';
import { makeSchedule } from './makeSchedule';
import { type OpenPromise, type OpenWork, tasksOfOpen, workHours } from './planWork';
import { mostReady, type Promised, type Readiness, readiness, SURE } from './readiness';

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

const withWarmAir = (open: OpenWork, { of }: OpenPromise): OpenWork => ({
  ...open,
  works: open.works.map(w =>
    of.includes(w.id) && w.air === 'room'
      ? { ...w, air: 'warm', dryH: (w.dryH * AIR_SHARE.warm) / AIR_SHARE.room }
      : w,
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
