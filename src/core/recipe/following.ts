import type { Act, Cushion, LogEntry, RollDirection } from '../log/entry';
import { standing } from '../log/standing';
import { type Recipe, type RecipeStep, USUAL_COUNT } from './recipe';

/** What a step of a recipe still asks for. `tick` is what only the felter can say is done. */
export type RecipeMove =
  | { readonly act: 'wet'; readonly face: number; readonly water: 'warm' | 'hot' }
  | { readonly act: 'rub'; readonly face: number; readonly count: number }
  | {
      readonly act: 'roll';
      readonly face: number;
      readonly directionDeg: RollDirection;
      readonly rolls: number;
      readonly cushion?: Cushion;
    }
  | { readonly act: 'throw'; readonly count: number }
  | { readonly act: 'shock'; readonly count: number }
  | { readonly act: 'pinch' | 'look' | 'measure' | 'cut' | 'resist-out' | 'tick' };

/** How a piece is worked. */
export interface WorkedAs {
  /** Numbers of the faces that are worked, e.g. [1, 2]. */
  readonly faces: readonly number[];
  /** False for a solid: its rolls have no direction. */
  readonly hasDirections: boolean;
  /** Faces that were wetted while they were laid. */
  readonly wetted: readonly number[];
}

/** Where a recipe stands. */
export interface Following {
  /** The step to do now; null when all are done or left out. */
  readonly next: RecipeStep | null;
  /** What is left of it, the first thing first; empty without a step. */
  readonly left: readonly RecipeMove[];
  readonly done: number;
  /** When the clock of the step to do now was started, ISO 8601; null where it was not. */
  readonly startedAt: string | null;
  /** The step that was settled last, and the entry that ticked it off; null there where the work itself settled it. */
  readonly last: { readonly step: string; readonly tickedBy: string | null } | null;
}

/** What was done since a step began. */
interface Tally {
  readonly wetted: ReadonlySet<number>;
  readonly rubs: Readonly<Record<number, number>>;
  /** Rolls by face and direction. */
  readonly rolls: Readonly<Record<string, number>>;
  readonly throws: number;
  readonly rounds: number;
  /** Acts of other kinds. */
  readonly seen: ReadonlySet<string>;
}

const begun = (wetted: readonly number[]): Tally => ({
  wetted: new Set(wetted),
  rubs: {},
  rolls: {},
  throws: 0,
  rounds: 0,
  seen: new Set(),
});

const rollKey = (face: number, directionDeg: RollDirection): string => `${face}/${directionDeg}`;

const counted = (tally: Tally, act: Act): Tally => {
  const plus = <K extends PropertyKey>(counts: Readonly<Record<K, number>>, key: K, n: number) => ({
    ...counts,
    [key]: (counts[key] ?? 0) + n,
  });
  switch (act.kind) {
    case 'wet':
      return { ...tally, wetted: new Set([...tally.wetted, act.face]) };
    case 'rub':
      return { ...tally, rubs: plus(tally.rubs, act.face, act.count) };
    case 'roll':
      return { ...tally, rolls: plus(tally.rolls, rollKey(act.face, act.directionDeg), act.rolls) };
    case 'throw':
      return { ...tally, throws: tally.throws + act.count };
    case 'shock':
      return { ...tally, rounds: tally.rounds + act.rounds };
    case 'open':
      return { ...tally, seen: new Set([...tally.seen, 'cut', act.what]) };
    default:
      return { ...tally, seen: new Set([...tally.seen, act.kind]) };
  }
};

const rollsLeft = (step: RecipeStep, tally: Tally, as: WorkedAs): RecipeMove[] => {
  const wanted = step.count ?? USUAL_COUNT.roll;
  const how = step.cushion ? { cushion: step.cushion } : {};
  if (!as.hasDirections) {
    const rolls = wanted - Object.values(tally.rolls).reduce((sum, n) => sum + n, 0);
    return rolls > 0 ? [{ act: 'roll', face: as.faces[0] ?? 1, directionDeg: 0, rolls, ...how }] : [];
  }
  return as.faces
    .flatMap(face => ([0, 90] as const).map(directionDeg => ({ face, directionDeg })))
    .map(at => ({ ...at, rolls: wanted - (tally.rolls[rollKey(at.face, at.directionDeg)] ?? 0) }))
    .filter(at => at.rolls > 0)
    .map(at => ({ act: 'roll', ...at, ...how }));
};

const rubsLeft = (step: RecipeStep, tally: Tally, { faces }: WorkedAs): RecipeMove[] => {
  const rubbed = (face: number): number => tally.rubs[face] ?? 0;
  if (step.count !== undefined) {
    const { count } = step;
    return faces
      .filter(face => rubbed(face) < count)
      .map(face => ({ act: 'rub', face, count: count - rubbed(face) }));
  }
  // By the clock: it goes on, face for face, until the felter says that it is done.
  return faces
    .toSorted((a, b) => rubbed(a) - rubbed(b))
    .map(face => ({ act: 'rub', face, count: USUAL_COUNT.rub }));
};

/** What is left of a step after what was done since it began. Nothing left is done; a tick is only the felter's to give. */
const leftOf = (step: RecipeStep, tally: Tally, as: WorkedAs): readonly RecipeMove[] => {
  switch (step.act) {
    case 'wet':
      return as.faces
        .filter(face => !tally.wetted.has(face))
        .map(face => ({ act: 'wet', face, water: step.water === 'warm' ? 'warm' : 'hot' }));
    case 'rub':
      return rubsLeft(step, tally, as);
    case 'roll':
      return rollsLeft(step, tally, as);
    case 'throw': {
      const count = (step.count ?? USUAL_COUNT.throw) - tally.throws;
      return count > 0 ? [{ act: 'throw', count }] : [];
    }
    case 'shock': {
      const count = (step.count ?? USUAL_COUNT.shock) - tally.rounds;
      return count > 0 ? [{ act: 'shock', count }] : [];
    }
    case 'pinch':
    case 'look':
    case 'measure':
    case 'cut':
    case 'resist-out':
      return tally.seen.has(step.act) ? [] : [{ act: step.act }];
    case 'edges':
    case 'rinse':
    case 'soak':
    case 'shape':
    case 'dry':
      return [{ act: 'tick' }];
  }
};

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
  tally: begun([]),
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
    tally: isAgain ? begun([]) : fold.tally,
    startedAt: entry.at,
    last: isAgain ? null : fold.last,
  };
};

/**
 * Where a recipe stands by the log of the bench: a step is settled when what it asks for was done since the one before it,
 * or when the felter ticked it off or left it out. What it does not ask for is passed over: one is free to depart from it.
 * Undone entries do not count. Linear in the log for a given recipe.
 */
export const followed = (recipe: Recipe, log: readonly LogEntry[], as: WorkedAs): Following => {
  let fold: Fold = { settled: new Map(), tally: begun(as.wetted), startedAt: null, last: null };
  const settleWhatIsDone = (): void => {
    const step = nextOf(recipe, fold);
    if (step && leftOf(step, fold.tally, as).length === 0) {
      fold = settle(fold, step.id, null);
    }
  };
  settleWhatIsDone();
  for (const entry of standing(log)) {
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
