import { makeProfile, type Profile } from './profile';
import type { Job, Problem } from './problem';
import { makeStrain, type Strain } from './strain';
import {
  HANDS,
  LEAST_STRETCH_MIN,
  type Minute,
  type Placed,
  type Span,
  type Task,
  type Use,
  type WorkHours,
} from './task';

/** What lies already, and what is still free. */
interface Board {
  readonly profiles: ReadonlyMap<string, Profile>;
  readonly strain: Strain;
  /** The longest that work goes on at a stretch: tiring work, and any other. */
  readonly longestMin: { readonly tiring: Minute; readonly any: Minute };
}

/** After so many tries of one task there is no place for it. */
const MOST_TRIES = 20_000;

const longestOf = ({ hours, sittingMin }: WorkHours): Board['longestMin'] => {
  const any = hours.reduce((most, h) => Math.max(most, h.end - h.start), 0);
  return { any, tiring: Math.min(any, sittingMin ?? any) };
};

const boardOf = ({ work }: Problem): Board => ({
  longestMin: longestOf(work),
  profiles: new Map(
    Object.entries(work.capacity).map(([name, capacity]) => [
      name,
      makeProfile(capacity, name === HANDS ? work.hours : undefined),
    ]),
  ),
  strain: makeStrain(work),
});

/** The first time from which all that it needs is free for so long, and hands are rested; null for never. */
const freeFrom = (board: Board, task: Task, of: { from: Minute; length: Minute }): Minute | null => {
  let at = of.from;
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const was = at;
    for (const { resource, count } of task.uses) {
      const free = board.profiles.get(resource)?.free(at, of.length, count) ?? null;
      if (free === null) return null;
      at = free;
    }
    if (task.tires && board.strain.allowed(at, of.length) < of.length) {
      const rested = board.strain.restedAfter(at);
      if (!(rested > at)) return null;
      at = rested;
    }
    if (at === was) return at;
  }
  return null;
};

const take = (board: Board, uses: readonly Use[], span: Span): void => {
  for (const { resource, count } of uses) board.profiles.get(resource)?.take(span, count);
};

const takeSpan = (board: Board, task: Task, span: Span): void => {
  take(board, task.uses, span);
  if (task.tires) board.strain.add(span);
};

/** Lays in what may be left and gone on with: a stretch wherever there is time for one. */
const layInParts = (board: Board, task: Task, from: Minute): readonly Span[] | null => {
  const spans: Span[] = [];
  let left = task.minutes;
  let at: Minute | null = from;
  while (left > 0) {
    const least = Math.min(left, LEAST_STRETCH_MIN);
    at = freeFrom(board, task, { from: at, length: least });
    if (at === null) return null;
    let run = task.uses.reduce(
      (most, { resource, count }) => board.profiles.get(resource)?.freeFor(at ?? 0, most, count) ?? 0,
      left,
    );
    if (task.tires) run = board.strain.allowed(at, run);
    // No crumb is left for another day where this stretch can spare it.
    const rest = left - run;
    if (rest > 0 && rest < LEAST_STRETCH_MIN && run - (LEAST_STRETCH_MIN - rest) >= LEAST_STRETCH_MIN)
      run -= LEAST_STRETCH_MIN - rest;
    const span = { start: at, end: at + run };
    takeSpan(board, task, span);
    spans.push(span);
    left -= run;
    at = span.end;
  }
  return spans.length > 0 ? spans : [{ start: from, end: from }];
};

/** What it keeps while it waits, before or after. */
const keptSpan = ({ leadMin, waitMin }: Job, { start, end }: Span): Span =>
  leadMin > 0 ? { start: start - leadMin, end: start } : { start: end, end: end + waitMin };

/** Lays in what is done in one go, where there is also room for it to wait. */
const layInWhole = (board: Board, job: Job, from: Minute): readonly Span[] | null => {
  const { task } = job;
  let ready = from;
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const start = freeFrom(board, task, { from: ready, length: task.minutes });
    if (start === null) return null;
    const span = { start, end: start + task.minutes };
    const kept = keptSpan(job, span);
    let later = 0;
    for (const { resource, count } of task.keeps) {
      const free = board.profiles.get(resource)?.free(kept.start, kept.end - kept.start, count) ?? null;
      if (free === null) return null;
      later = Math.max(later, free - kept.start);
    }
    if (later === 0) {
      takeSpan(board, task, span);
      take(board, task.keeps, kept);
      return [span];
    }
    ready = start + later;
  }
  return null;
};

const placedOf = ({ task, waitMin }: Job, spans: readonly Span[]): Placed => ({
  id: task.id,
  spans,
  overAt: (spans.at(-1)?.end ?? 0) + waitMin,
});

/** What lies where it was put by hand: there it lies, whatever it breaks. */
const fixedAt = (board: Board, job: Job, startAt: Minute): Placed => {
  const span = { start: startAt, end: startAt + job.task.minutes };
  takeSpan(board, job.task, span);
  take(board, job.task.keeps, keptSpan(job, span));
  return placedOf(job, [span]);
};

/** What may be left is left only where it must: a stretch that holds all of it is better than the next quarter of an hour. */
const layInBest = (board: Board, job: Job, from: Minute): readonly Span[] | null => {
  const { task } = job;
  const longest = task.tires ? board.longestMin.tiring : board.longestMin.any;
  const whole = !task.mayPause || task.minutes <= longest ? layInWhole(board, job, from) : null;
  return whole ?? (task.mayPause ? layInParts(board, task, from) : null);
};

/**
 * Lays tasks into time one after the other, each at the first moment at which it can be done: of those that may begin, the one of the
 * lowest rank. Source: serial schedule generation, Kolisch 1996, “Serial and parallel resource-constrained project scheduling methods
 * revisited” (from memory).
 * @param rank of each job, by its place
 * @returns by place; null for what has no place in these hours, or stands in a circle
 */
export const layIn = (problem: Problem, rank: readonly number[]): ReadonlyArray<Placed | null> => {
  const { jobs } = problem;
  const board = boardOf(problem);
  const placed = jobs.map((job): Placed | null =>
    job.task.startAt === null ? null : fixedAt(board, job, job.task.startAt),
  );
  const open = jobs.map(job => job.before.length);
  const mayBegin: number[] = [];
  const settle = (i: number): void => {
    for (const n of jobs[i]?.next ?? []) {
      open[n] = (open[n] ?? 0) - 1;
      if (open[n] === 0 && jobs[n]?.task.startAt === null) mayBegin.push(n);
    }
  };
  jobs.forEach((job, i) => {
    if (job.task.startAt === null && job.before.length === 0) mayBegin.push(i);
  });
  jobs.forEach((job, i) => {
    if (job.task.startAt !== null) settle(i);
  });
  const pressing = (i: number): number => (rank[i] ?? 0) - (jobs[i]?.rightOn ? jobs.length : 0);
  while (mayBegin.length > 0) {
    let first = 0;
    for (let k = 1; k < mayBegin.length; k += 1)
      if (pressing(mayBegin[k] ?? 0) < pressing(mayBegin[first] ?? 0)) first = k;
    const [i = 0] = mayBegin.splice(first, 1);
    const job = jobs[i];
    if (!job) continue;
    const ends = job.before.map(p => placed[p]?.overAt ?? 0);
    const ready = Math.max(0, job.task.from ?? 0, ...ends) + job.leadMin;
    const spans = layInBest(board, job, ready);
    if (!spans) continue;
    placed[i] = placedOf(job, spans);
    settle(i);
  }
  return placed;
};
