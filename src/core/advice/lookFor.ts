import type { BenchState } from '../log/benchState';
import type { FormPlan } from '../forms/formKind';
import type { Way } from '../ways/way';
import { canOccur, faultOf, isHollow } from './faults';

/** What an opening may show that is no fault yet. The words are the interface's. */
export type EarlySign = 'tufts' | 'bubbles' | 'net' | 'popping' | 'cooling' | 'inside' | 'edges';

/** What to look for at an opening. */
export interface LookFor {
  /** Ids of faults that come about now, and can still be mended. */
  readonly faults: readonly string[];
  readonly sights: readonly EarlySign[];
}

/** Rolls within which folds and layers that touch felt into one another, and the share of the way. Common practice. */
const FUSES = { rolls: 200, progress: 0.4 } as const;
/** Share of the way from which what lags shows. Common practice. */
const SHOWS = 0.3;

/**
 * What matters at an opening now: on a wet layout tufts, bubbles and pools; while layers can still fuse folds, stuck faces and net;
 * later corners and edges, the inside once it is open, and water that has gone cold. Common practice.
 * @param of.progress mean share of the way from laid to wanted; null before the first measuring
 */
export const lookFor = (
  state: BenchState,
  form: FormPlan,
  of: { readonly progress: number | null; readonly way: Way },
): LookFor => {
  const { faults, sights } = shows(state, form, of.progress);
  const occurs = (id: string): boolean => {
    const fault = faultOf(id);
    return fault !== null && canOccur(fault, form, { pieces: 1, way: of.way });
  };
  return { faults: faults.filter(occurs), sights };
};

/** What a piece of this form may show, whatever the way it is worked in. */
const shows = (state: BenchState, form: FormPlan, progress: number | null): LookFor => {
  const way = progress ?? 0;
  const hollow = isHollow(form);
  const solid = form.solid !== null;
  if (state.rolls === 0)
    return solid
      ? { faults: ['crack', 'fluffy', 'foam'], sights: ['tufts', 'cooling'] }
      : { faults: ['slides', 'fluffy', 'thin', 'foam'], sights: ['tufts', 'bubbles'] };
  if (solid) {
    return way < FUSES.progress
      ? { faults: ['crack', 'sausage', 'foam'], sights: ['cooling'] }
      : { faults: ['sausage', 'soft', 'stalled'], sights: ['cooling'] };
  }
  const fuses = state.rolls < FUSES.rolls || way < FUSES.progress;
  return {
    faults: [
      ...(fuses ? ['fold'] : []),
      ...(hollow && !state.isResistOut && (fuses || !state.isCut) ? ['stuck'] : []),
      'thin',
      ...(way >= SHOWS ? ['long', 'corner'] : []),
      ...(hollow && way >= SHOWS && !state.isResistOut ? ['ridge'] : []),
      ...(fuses ? ['foam'] : ['stalled']),
    ],
    sights: [
      ...(fuses ? (['net', 'popping'] as const) : []),
      'cooling',
      ...(state.isCut ? (['edges'] as const) : []),
      ...(state.isResistOut ? (['inside'] as const) : []),
    ],
  };
};
