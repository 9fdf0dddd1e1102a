import { type Random, seeded } from '../numeric/random';
import { layIn } from './layIn';
import { mirrored, type Problem, problemOf } from './problem';
import { latestFinish, orderBy, ranksInOrder, ranksOf } from './ranks';
import type { Minute, Placed, Task, WorkHours } from './task';

/** How good a schedule is, what counts most first: what has no place, minutes late, the end of all, ends summed. Less is better. */
type Merit = readonly [unplaced: number, late: Minute, end: Minute, ends: number];

export interface Schedule {
  /** In the order in which hands come to them. */
  readonly placed: readonly Placed[];
  /** What has no place in the maker's hours. */
  readonly unplaced: readonly string[];
  /** The order in which they were laid in, by the place of each task: draws of the paces keep to it. */
  readonly rank: readonly number[];
}

type Laid = ReadonlyArray<Placed | null>;

const meritOf = ({ jobs }: Problem, laid: Laid): Merit => {
  let unplaced = 0;
  let late = 0;
  let end = 0;
  let ends = 0;
  laid.forEach((placed, i) => {
    if (!placed) {
      unplaced += 1;
      return;
    }
    const due = jobs[i]?.task.due ?? null;
    if (due !== null) late += Math.max(0, placed.overAt - due);
    end = Math.max(end, placed.overAt);
    ends += placed.overAt;
  });
  return [unplaced, late, end, ends];
};

/** Below zero where the first is better. */
const compare = (a: Merit, b: Merit): number => {
  for (let i = 0; i < a.length; i += 1) {
    const difference = (a[i] ?? 0) - (b[i] ?? 0);
    if (difference !== 0) return difference;
  }
  return 0;
};

interface Found {
  readonly rank: readonly number[];
  readonly laid: Laid;
  readonly merit: Merit;
}

const tried = (problem: Problem, rank: readonly number[]): Found => {
  const laid = layIn(problem, rank);
  return { rank, laid, merit: meritOf(problem, laid) };
};

/** Two jobs in each other's place, or one moved to the place of another. */
const neighbour = (rank: readonly number[], random: Random): readonly number[] => {
  const n = rank.length;
  const from = Math.floor(random() * n);
  const to = Math.floor(random() * n);
  if (random() < 0.5) return rank.map(r => (r === from ? to : r === to ? from : r));
  return rank.map(r => {
    if (r === from) return to;
    if (from < to) return r > from && r <= to ? r - 1 : r;
    return r >= to && r < from ? r + 1 : r;
  });
};

/**
 * Everything pushed as far back as it goes from where it ends, and then forward again: what had gaps closes up.
 * Source: justification, Valls, Ballestín and Quintanilla 2005, “Justification and RCPSP: a technique that pays” (from memory).
 */
const justified = (problem: Problem, found: Found): Found => {
  const end = found.merit[2];
  if (found.merit[0] > 0 || problem.jobs.some(j => j.task.startAt !== null)) return found;
  const back = layIn(mirrored(problem, end), ranksOf(found.laid.map(p => -(p?.overAt ?? 0))));
  if (back.some(p => p === null)) return found;
  return tried(problem, ranksOf(back.map(p => -(p?.spans.at(-1)?.end ?? 0))));
};

/** Tries that a schedule is given: fewer, the more there is to lay in. */
const TRIES = { most: 400, work: 12_000 } as const;
/** So few are tried in every order there is: at most 720. */
const EVERY_ORDER = 6;
const SEED = 14;

/** How bad a schedule is, in minutes of the end of all: a minute late counts more, what has no place more than all. */
const asMinutes = ([unplaced, late, end]: Merit): number => 1e7 * unplaced + LATE_WEIGHT * late + end;
const LATE_WEIGHT = 5;
/** Share of the first end by which a swap may be worse and still be gone on from, at the beginning; it falls to none. */
const WARMTH = 0.005;
/** Share of tries that swap what touches. */
const TOUCHING = 0.7;

/** The order in which things began; of two that touch on the same thing, one put before the other now and then. */
const touching = (problem: Problem, { laid }: Found, random: Random): readonly number[] => {
  const starts = laid.map(p => p?.spans[0]?.start ?? 0);
  const order = orderBy(starts);
  const lastOn = new Map<string, number>();
  const pairs: Array<readonly [number, number]> = [];
  for (const i of order) {
    for (const { resource } of problem.jobs[i]?.task.uses ?? []) {
      const last = lastOn.get(resource);
      if (last !== undefined && laid[last]?.spans.at(-1)?.end === starts[i]) pairs.push([last, i]);
      lastOn.set(resource, i);
    }
  }
  const [first = 0, second = 0] = pairs[Math.floor(random() * pairs.length)] ?? [];
  const moved = order.filter(i => i !== second);
  moved.splice(moved.indexOf(first), 0, second);
  return ranksInOrder(moved);
};

/** Tries swaps, at first going on from worse ones too. Source: simulated annealing, Kirkpatrick and others 1983 (from memory). */
const improved = (problem: Problem, first: Found, tries: number): Found => {
  const random = seeded(SEED);
  let best = first;
  let now = first;
  for (let i = 0; i < tries; i += 1) {
    const next = tried(
      problem,
      random() < TOUCHING ? touching(problem, now, random) : neighbour(now.rank, random),
    );
    const warmth = WARMTH * first.merit[2] * (1 - i / tries) ** 2;
    const worse = asMinutes(next.merit) - asMinutes(now.merit);
    if (worse > 0 && worse > -warmth * Math.log(1 - random())) continue;
    now = next;
    if (compare(next.merit, best.merit) < 0) best = next;
  }
  const closed = justified(problem, best);
  return compare(closed.merit, best.merit) < 0 ? closed : best;
};

/** The best of every order. */
const bestOfAll = (problem: Problem, first: Found): Found => {
  const n = problem.jobs.length;
  let best = first;
  const fill = (rank: readonly number[]): void => {
    if (rank.length === n) {
      const found = tried(problem, rank);
      if (compare(found.merit, best.merit) < 0) best = found;
      return;
    }
    for (let next = 0; next < n; next += 1) if (!rank.includes(next)) fill([...rank, next]);
  };
  fill([]);
  return best;
};

const scheduleOf = ({ jobs }: Problem, { laid, rank }: Found): Schedule => ({
  placed: laid
    .filter(p => p !== null)
    .toSorted((a, b) => (a.spans[0]?.start ?? 0) - (b.spans[0]?.start ?? 0) || (a.id < b.id ? -1 : 1)),
  unplaced: jobs.flatMap(({ task }, i) => (laid[i] ? [] : [task.id])),
  rank,
});

/** Tries that are usual for so many tasks. */
const usualTries = (tasks: number): number =>
  tasks < 2 ? 0 : Math.min(TRIES.most, Math.ceil(TRIES.work / tasks));

/**
 * Lays work into a maker's hours, everything as early as it can be: what is late least late, then all done soonest. The same work gives the
 * same schedule. Sources: see `layIn` and `justified`; swaps of two and moves of one, from memory.
 * @param tries how many swaps are tried; with none, what is most pressing comes first, and no more is done about it
 * @example makeSchedule(tasks, { hours: [{ start: 0, end: 120 }], capacity: { hands: 1 }, sittingMin: 90, restMin: 30 })
 */
export const makeSchedule = (
  tasks: readonly Task[],
  work: WorkHours,
  tries: number = usualTries(tasks.length),
): Schedule => {
  const problem = problemOf(tasks, work);
  const first = tried(problem, ranksOf(latestFinish(problem)));
  if (tries === 0) return scheduleOf(problem, first);
  const closed = justified(problem, first);
  const start = compare(closed.merit, first.merit) < 0 ? closed : first;
  return scheduleOf(
    problem,
    tasks.length <= EVERY_ORDER ? bestOfAll(problem, start) : improved(problem, start, tries),
  );
};

/** Everything as late as it may be. */
export interface LateSchedule extends Schedule {
  /** What would have had to begin before now: by so many minutes at most. 0 where all is in time. */
  readonly shortMin: Minute;
}

/**
 * Lays work in backwards from the days on which it is wanted, everything as late as it may be. What has no day goes by the last one.
 * @param work hours that are past by now stand in it too: what would have had to be done in them is told
 * @param end the last day; everything without one is due then
 */
export const scheduleBackwards = (tasks: readonly Task[], work: WorkHours, end: Minute): LateSchedule => {
  const forwards = problemOf(tasks, work);
  const problem = mirrored(forwards, end);
  const found = improved(problem, tried(problem, ranksOf(latestFinish(problem))), usualTries(tasks.length));
  const laid = found.laid.map((p, i): Placed | null => {
    const job = forwards.jobs[i];
    if (!p || !job) return null;
    const spans = p.spans.map(s => ({ start: end - s.end, end: end - s.start })).toReversed();
    return { id: p.id, spans, overAt: (spans.at(-1)?.end ?? 0) + job.waitMin };
  });
  const earliest = Math.min(0, ...laid.map(p => p?.spans[0]?.start ?? 0));
  return {
    ...scheduleOf(forwards, { ...found, rank: ranksOf(laid.map(p => p?.spans[0]?.start ?? 0)), laid }),
    shortMin: Math.max(0, -earliest),
  };
};
