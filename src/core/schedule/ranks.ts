import { type Problem, takesHands } from './problem';
import type { Minute, Span } from './task';

/** Time of hands before each moment, and back from it. */
const handsClock = (hours: readonly Span[]) => {
  const before: number[] = [];
  let sum = 0;
  for (const { start, end } of hours) {
    before.push(sum);
    sum += end - start;
  }
  /** The moment at which hands must begin to be done with so many minutes at `at`. */
  return (at: Minute, minutes: Minute): Minute => {
    let left = minutes;
    for (let i = hours.length - 1; i >= 0; i -= 1) {
      const span = hours[i];
      if (!span || span.start >= at) continue;
      const worked = Math.min(span.end, at) - span.start;
      if (worked >= left) return Math.min(span.end, at) - left;
      left -= worked;
    }
    return (hours[0]?.start ?? at) - left;
  };
};

/**
 * How pressing each job is: the latest moment at which it may be over for all that stands on it to be ready by its day; without a day,
 * what has most still to come first. Lower is more pressing.
 */
export const latestFinish = ({ jobs, work }: Problem): readonly Minute[] => {
  const backFrom = handsClock(work.hours);
  const horizon = 2 * (work.hours.at(-1)?.end ?? 0) + 1;
  const known: Array<Minute | null> = jobs.map(() => null);
  const latest = (i: number, seen: ReadonlySet<number>): Minute => {
    const was = known[i] ?? null;
    const job = jobs[i];
    if (was !== null || !job || seen.has(i)) return was ?? horizon;
    const deeper = new Set([...seen, i]);
    let least = job.task.due ?? horizon;
    for (const n of job.next) {
      const next = jobs[n];
      if (!next) continue;
      const end = latest(n, deeper) - next.waitMin;
      const start =
        next.task.startAt ??
        (takesHands(next.task) ? backFrom(end, next.task.minutes) : end - next.task.minutes);
      least = Math.min(least, start - next.leadMin);
    }
    known[i] = least;
    return least;
  };
  return jobs.map((_, i) => latest(i, new Set()));
};

/** The rank of each by its place, from an order of places. */
export const ranksInOrder = (order: readonly number[]): number[] => {
  const ranks: number[] = order.map(() => 0);
  order.forEach((i, rank) => {
    ranks[i] = rank;
  });
  return ranks;
};

/** Places by how much something is of each, the least first; alike ones in the order in which they stand. */
export const orderBy = (of: readonly number[]): number[] =>
  of.map((_, i) => i).toSorted((a, b) => (of[a] ?? 0) - (of[b] ?? 0) || a - b);

/** Places by how pressing they are, the first 0. */
export const ranksOf = (pressing: readonly number[]): number[] => ranksInOrder(orderBy(pressing));
