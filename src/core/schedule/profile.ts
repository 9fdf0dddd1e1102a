import type { Minute, Span } from './task';

/** How much of one thing is taken at each time: steps, in order of time. Grows in place; one is made for each schedule. */
export interface Profile {
  /** The first time ≥ `from` at which `count` of it is free for `length` on end; null for never. */
  readonly free: (from: Minute, length: Minute, count: number) => Minute | null;
  /** How long `count` of it stays free from a time, at most `most`. */
  readonly freeFor: (from: Minute, most: Minute, count: number) => Minute;
  readonly take: (span: Span, count: number) => void;
}

/** The last step at or before a time. */
const stepAt = (times: readonly number[], at: Minute): number => {
  let low = 0;
  let high = times.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((times[middle] ?? 0) <= at) low = middle;
    else high = middle - 1;
  }
  return low;
};

/**
 * @param capacity how much there is
 * @param open when it is there at all, in order; left out, always
 */
export const makeProfile = (capacity: number, open?: readonly Span[]): Profile => {
  const times: number[] = [Number.NEGATIVE_INFINITY];
  const taken: number[] = [open ? capacity : 0];
  for (const { start, end } of open ?? []) {
    if (times.at(-1) === start) taken[taken.length - 1] = 0;
    else {
      times.push(start);
      taken.push(0);
    }
    times.push(end);
    taken.push(capacity);
  }
  const split = (at: Minute): number => {
    const i = stepAt(times, at);
    if (times[i] === at) return i;
    times.splice(i + 1, 0, at);
    taken.splice(i + 1, 0, taken[i] ?? 0);
    return i + 1;
  };
  const fits = (i: number, count: number): boolean => (taken[i] ?? 0) + count <= capacity;
  return {
    free: (from, length, count) => {
      if (!(count <= capacity)) return null;
      let at = from;
      for (let i = stepAt(times, from); i < times.length; i += 1) {
        if (!fits(i, count)) {
          const next = times[i + 1];
          if (next === undefined) return null;
          at = Math.max(at, next);
        } else if ((times[i + 1] ?? Number.POSITIVE_INFINITY) >= at + length) return at;
      }
      return null;
    },
    freeFor: (from, most, count) => {
      for (let i = stepAt(times, from); i < times.length; i += 1) {
        if (!fits(i, count)) return Math.max(0, Math.min(most, (times[i] ?? from) - from));
        if ((times[i + 1] ?? Number.POSITIVE_INFINITY) >= from + most) return most;
      }
      return most;
    },
    take: ({ start, end }, count) => {
      if (!(end > start)) return;
      const first = split(start);
      const last = split(end);
      for (let i = first; i < last; i += 1) taken[i] = (taken[i] ?? 0) + count;
    },
  };
};
