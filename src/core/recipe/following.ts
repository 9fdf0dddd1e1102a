import { type Act, tallyOf } from '../acts/act';
import type { RecipeStep, StepMove, WorkScope } from '../acts/recipeStep';
import type { LogEntry } from '../log/entry';
import { entriesInHand } from '../log/manyAlike';
import type { Recipe } from './recipe';
import { actOfStep, RECIPE_STEPS } from './recipeSteps';

/** Where a recipe stands. */
export interface Following {
  /** The step to do now; null when all are done or left out. */
  readonly next: RecipeStep | null;
  /** What is left of it, the first thing first; empty without a step. */
  readonly left: readonly StepMove[];
  readonly done: number;
  /** When the clock of the step to do now was started, ISO 8601; null where it was not. */
  readonly startedAt: string | null;
  /** The step that was settled last, and the entry that ticked it off; null there where the work itself settled it. */
  readonly last: { readonly step: string; readonly tickedBy: string | null } | null;
}

/** How much of each part was done since a step began, by the keys of the acts. */
type Tally = ReadonlyMap<string, number>;

const counted = (tally: Tally, act: Act): Tally => {
  const next = new Map(tally);
  for (const [key, amount] of tallyOf(act)) next.set(key, (next.get(key) ?? 0) + amount);
  return next;
};

/** What is left of a step after what was done since it began. Nothing left is done; a tick is only the felter's to give. */
const leftOf = (step: RecipeStep, tally: Tally, as: WorkScope): readonly StepMove[] => {
  const asked = RECIPE_STEPS.get(step.act);
  const kind = actOfStep(step.act) ?? '';
  return asked ? asked.left(step, key => tally.get(`${kind}/${key}`) ?? 0, as) : [{ does: 'tick' }];
};

const NOTHING: Tally = new Map();

interface Fold {
  /** Settled steps, and the entries that ticked them off. */
  settled: ReadonlyMap<string, string | null>;
  tally: Tally;
  startedAt: string | null;
  last: Following['last'];
}

const nextOf = (recipe: Recipe, { settled }: Fold): RecipeStep | null =>
  recipe.steps.find(s => !settled.has(s.id)) ?? null;

const settle = (fold: Fold, step: string, tickedBy: string | null): Fold => ({
  settled: new Map(fold.settled).set(step, tickedBy),
  tally: NOTHING,
  startedAt: null,
  last: { step, tickedBy },
});

const ticked = (recipe: Recipe, fold: Fold, entry: LogEntry & { act: { kind: 'step' } }): Fold => {
  const { step, how } = entry.act;
  if (!recipe.steps.some(s => s.id === step)) return fold;
  if (how !== 'started') {
    // One out of turn does not begin the step before it anew.
    const isNext = nextOf(recipe, fold)?.id === step;
    const after = settle(fold, step, entry.id);
    return isNext ? after : { ...after, tally: fold.tally, startedAt: fold.startedAt };
  }
  // A clock that is started on a settled step takes it up again, from nothing.
  const settled = new Map(fold.settled);
  const isAgain = settled.delete(step);
  return {
    settled,
    tally: isAgain ? NOTHING : fold.tally,
    startedAt: entry.at,
    last: isAgain ? null : fold.last,
  };
};

/**
 * Where a recipe stands by the log of the bench: a step is settled when what it asks for was done since the one before it,
 * or when the felter ticked it off or left it out. What it does not ask for is passed over: one is free to depart from it.
 * Undone entries do not count. Linear in the log for a given recipe.
 */
export const followed = (recipe: Recipe, log: readonly LogEntry[], as: WorkScope): Following => {
  const wetted = as.wetted.reduce<Tally>(
    (tally, face) => counted(tally, { kind: 'wet', face, water: 'hot' }),
    NOTHING,
  );
  let fold: Fold = { settled: new Map(), tally: wetted, startedAt: null, last: null };
  const settleWhatIsDone = (): void => {
    const step = nextOf(recipe, fold);
    if (step && leftOf(step, fold.tally, as).length === 0) {
      fold = settle(fold, step.id, null);
    }
  };
  settleWhatIsDone();
  for (const entry of entriesInHand(log)) {
    const { act } = entry;
    if (act.kind === 'step') fold = ticked(recipe, fold, { ...entry, act });
    else fold = { ...fold, tally: counted(fold.tally, act) };
    settleWhatIsDone();
  }
  const next = nextOf(recipe, fold);
  return {
    next,
    left: next ? leftOf(next, fold.tally, as) : [],
    done: recipe.steps.filter(s => fold.settled.has(s.id)).length,
    startedAt: fold.startedAt,
    last: fold.last,
  };
};

/** The entry that takes the last settled step up again: its tick taken back, or its counting begun anew; null where none is settled. */
export const stepBack = ({ last }: Following): Act | null => {
  if (!last) return null;
  return last.tickedBy === null
    ? { kind: 'step', step: last.step, how: 'started' }
    : { kind: 'undo', of: last.tickedBy };
};
