import { type DryMeasures, outcome } from './outcome';
import type { PlanInput } from './planInput';
import { planOf } from './planOf';

/** How firm finished pieces came out: least and most, g/cm³; null where none of them says. */
export const firmnessRange = (
  pieces: ReadonlyArray<{ readonly plan: PlanInput; readonly result: DryMeasures }>,
): readonly [least: number, most: number] | null => {
  const found = pieces.flatMap(({ plan: input, result }) => {
    const plan = planOf(input);
    const density = plan.ok ? outcome(plan.value.form, result, plan.value.laidGramsEach).density : null;
    return density === null ? [] : [density];
  });
  return found.length === 0 ? null : [Math.min(...found), Math.max(...found)];
};
