import { type Act, type ActOf, workOfAct } from '../acts/act';
import { type Air, type DriesOn, FINISH, FINISH_STEPS, type FinishStep } from '../acts/finishSteps';
import { entriesInForce } from '../log/entriesInForce';
import type { LogEntry } from '../log/entry';
import type { Recipe } from '../recipe/recipe';
import type { Weighing } from './dryness';

/** How one step of finishing stands. */
export interface FinishProgress {
  readonly step: FinishStep;
  readonly how: 'todo' | 'running' | 'done' | 'skipped';
  /** When it was begun, ISO 8601; null where it was not, or needs no beginning. */
  readonly begunAt: string | null;
  readonly doneAt: string | null;
  /** Rounds that did not settle it: rinses that were not clear. */
  readonly rounds: number;
}

/** Where finishing stands by the log. */
export interface FinishState {
  readonly progress: ReadonlyMap<FinishStep, FinishProgress>;
  /** True once a step of it was done and the felt was not worked since. */
  readonly isBegun: boolean;
  /** What it was last said to dry on and in; null before. */
  readonly on: DriesOn | null;
  readonly air: Air | null;
  readonly weighings: readonly Weighing[];
}

type Mutable = { -readonly [K in keyof FinishProgress]: FinishProgress[K] };

const BEGIN: Omit<FinishProgress, 'step'> = { how: 'todo', begunAt: null, doneAt: null, rounds: 0 };

const apply = (progress: Mutable, { how }: ActOf<'finish'>, at: string): void => {
  if (how === 'again') progress.rounds += 1;
  else if (how === 'begun') {
    progress.how = 'running';
    progress.begunAt = at;
    progress.doneAt = null;
  } else if (how === 'done' || how === 'skipped') {
    progress.how = how;
    progress.doneAt = at;
  }
};

/** The finishing step that an act settles, if it is one that is logged by an act of its own, or ticked off a recipe. */
const settledElsewhere = (act: Act, recipe: Recipe | null): ActOf<'finish'> | null => {
  if (act.kind === 'cutDry') return { kind: 'finish', step: 'cutDry', how: 'done' };
  if (act.kind !== 'step' || act.how === 'started') return null;
  const asked = recipe?.steps.find(s => s.id === act.step)?.act;
  const step = FINISH_STEPS.find(known => known === asked);
  return step ? { kind: 'finish', step, how: act.how } : null;
};

/**
 * Folds a log into where finishing stands. Undone entries do not count. Linear in the log.
 * @param recipe what is followed: a step of it that was ticked off counts
 * @param msOf a stored time in ms since 1970
 */
export const finishState = (
  log: readonly LogEntry[],
  recipe: Recipe | null,
  msOf: (at: string) => number,
): FinishState => {
  const progress = new Map<FinishStep, Mutable>();
  const weighings: Weighing[] = [];
  let isBegun = false;
  let on: DriesOn | null = null;
  let air: Air | null = null;
  for (const { act: any, at } of entriesInForce(log)) {
    const act = any.kind === 'finish' ? any : settledElsewhere(any, recipe);
    if (!act) {
      if (workOfAct(any, 'hot') !== null) isBegun = false;
      continue;
    }
    isBegun = isBegun || any.kind === 'finish';
    on = act.on ?? on;
    air = act.air ?? air;
    if (act.how === 'weighed' && act.grams !== undefined)
      weighings.push({ atMs: msOf(at), grams: act.grams });
    const own = progress.get(act.step) ?? { step: act.step, ...BEGIN };
    apply(own, act, at);
    progress.set(act.step, own);
  }
  return { progress, isBegun, on, air, weighings };
};

/** How one step stands. */
export const progressOf = ({ progress }: FinishState, step: FinishStep): FinishProgress =>
  progress.get(step) ?? { step, ...BEGIN };

/** Steps that are done or left out. */
export const settledIn = ({ progress }: FinishState): ReadonlySet<FinishStep> =>
  new Set([...progress.values()].filter(p => p.how === 'done' || p.how === 'skipped').map(p => p.step));

/** A step that was begun and is left to itself: since when, and how long it takes. */
export interface FinishWait {
  readonly step: FinishStep;
  readonly sinceMs: number;
  /** When it is likely to be over, ms since 1970; null where nothing says so. */
  readonly untilMs: number | null;
}

/**
 * What of it waits now, the one that is over first first.
 * @param dryH hours that drying is likely to take; null where nothing says so
 * @param recipe what is followed: its own minutes count for what soaks or sets
 */
export const waitsIn = (
  { progress }: FinishState,
  of: {
    readonly dryH: number | null;
    readonly recipe: Recipe | null;
    readonly msOf: (at: string) => number;
  },
): readonly FinishWait[] =>
  [...progress.values()]
    .flatMap((p): FinishWait[] => {
      if (p.how !== 'running' || p.begunAt === null) return [];
      const { wait } = FINISH[p.step];
      const asked = of.recipe?.steps.find(s => s.act === p.step)?.minutes;
      const minutes = wait === 'dry' ? (of.dryH === null ? null : 60 * of.dryH) : (asked ?? wait);
      const sinceMs = of.msOf(p.begunAt);
      return [{ step: p.step, sinceMs, untilMs: minutes === null ? null : sinceMs + minutes * 60_000 }];
    })
    .toSorted((a, b) => (a.untilMs ?? Infinity) - (b.untilMs ?? Infinity));
