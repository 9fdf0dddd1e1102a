import { foldAct } from '../acts/act';
import {
  beginFold,
  type BenchFold,
  byDirection,
  doneOf,
  type Petal,
  type Reading,
  type SeenFault,
} from '../acts/benchFold';
import { ROLL_DIRECTIONS, type RollDirection } from '../acts/vocabulary';
import type { LogEntry } from './entry';
import { entriesInForce } from './entriesInForce';
import { entriesInHand } from './manyAlike';

/** What the log adds up to. Nothing of it is stored. */
export interface BenchState extends Readonly<Omit<BenchFold, 'wetted' | 'petals' | 'faults' | 'readings'>> {
  readonly wettedFaces: readonly number[];
  readonly petals: readonly Petal[];
  readonly rolls: number;
  readonly throws: number;
  readonly shocks: number;
  readonly readings: readonly Reading[];
  readonly rollsSinceMeasure: number;
  readonly throwsSinceMeasure: number;
  readonly lastAt: string | null;
  /** Faults that were seen and are not mended yet. */
  readonly faults: readonly SeenFault[];
}

/**
 * Folds a log into where the work stands. Undone entries do not count. Linear in the log.
 * @param wetted faces that were wetted while they were laid
 */
export const benchState = (log: readonly LogEntry[], wetted: readonly number[] = []): BenchState => {
  const fold = beginFold(wetted);
  const entries = entriesInHand(log);
  for (const { id, at, act } of entries) foldAct(fold, act, { entryId: id, at });
  const [rolls, throws] = [doneOf(fold, 'roll'), doneOf(fold, 'throw')];
  const last = fold.readings.at(-1);
  const { wetted: faces, petals, faults, ...rest } = fold;
  return {
    ...rest,
    wettedFaces: [...faces].toSorted((a, b) => a - b),
    petals: [...petals.values()],
    faults: [...faults.values()],
    rolls,
    throws,
    shocks: doneOf(fold, 'shock'),
    rollsSinceMeasure: rolls - (last?.rollsBefore ?? 0),
    throwsSinceMeasure: throws - (last?.throwsBefore ?? 0),
    lastAt: entriesInForce(log).at(-1)?.at ?? null,
  };
};

/** Rolls per direction, all faces together, in the order of the rose. */
export const rollsByDirection = (
  state: BenchState,
): ReadonlyArray<{ directionDeg: RollDirection; rolls: number }> =>
  ROLL_DIRECTIONS.map(directionDeg => ({
    directionDeg,
    rolls: byDirection(state.petals)[directionDeg] ?? 0,
  }));
