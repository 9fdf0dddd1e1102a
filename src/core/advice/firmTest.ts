import type { BenchState } from '../log/benchState';
import type { FirmTest } from '../acts/feltTests';
import type { FormPlan } from '../forms/formKind';
import type { ProposedAct } from './proposedAct';
import type { UsualAmount } from '../ways/way';
import { usualAct } from './usualAct';

/** A solid is squeezed, cloth is looked at from its back, all else is pinched; a way may say otherwise. */
export const firmTestOf = (form: Pick<FormPlan, 'solid' | 'outlineIs'>): FirmTest => {
  if (form.solid) return 'squeeze';
  return form.outlineIs === 'cloth' ? 'cloth' : 'pinch';
};

/** Grades from which it is firm: nothing lifts, hardly gives, puckered all over. Common practice. */
const FIRM_FROM: Readonly<Record<FirmTest, number>> = { pinch: 3, squeeze: 3, cloth: 2 };

/** Whether it was tested since it was last worked, and came out firm; not firm where it was never tested. */
export const firmTestResult = (
  state: BenchState,
  test: FirmTest,
): { readonly isTested: boolean; readonly isFirm: boolean } => {
  const grade = test === 'pinch' ? state.pinch : (state.tests[test] ?? null);
  const since = test === 'pinch' ? state.workSincePinch : (state.workSinceTest[test] ?? 0);
  return { isTested: grade !== null && since === 0, isFirm: grade !== null && grade >= FIRM_FROM[test] };
};

/**
 * What is done at size: test it, or firm what is soft; null where it was tested and is firm.
 * @param firms what firms a piece that is worked in its way
 */
export const firmAct = (state: BenchState, test: FirmTest, firms: UsualAmount): ProposedAct | null => {
  const { isTested, isFirm } = firmTestResult(state, test);
  if (!isTested)
    return test === 'pinch'
      ? { act: 'pinch', reason: 'nearly-there' }
      : { act: 'test', test, reason: 'nearly-there' };
  if (isFirm) return null;
  return usualAct(firms, test === 'squeeze' ? 'soft-inside' : 'size-reached-soft');
};
