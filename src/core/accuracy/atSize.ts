import { type DryMeasures, outcome } from '../plan/outcome';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import { SIZE_TOLERANCE } from '../tolerances';

/** How many lines were measured dry, and how many were within the tolerance of their size; null where none was, or no size was wanted. */
export const atSize = (piece: {
  readonly plan: PlanInput;
  readonly result: DryMeasures;
}): { readonly tried: number; readonly held: number } | null => {
  const plan = planOf(piece.plan);
  if (!plan.ok || plan.value.form.asItComes) return null;
  const off = outcome(plan.value.form, piece.result, null).gauges.flatMap(({ dryMm, gauge }) =>
    dryMm === null ? [] : [Math.abs(dryMm / gauge.wantedMm - 1)],
  );
  return off.length === 0 ? null : { tried: off.length, held: off.filter(o => o <= SIZE_TOLERANCE).length };
};
