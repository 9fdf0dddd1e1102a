import { rectangle } from '../forms/kinds/rectangle';
import { newPlan, setAsItComes } from './newPlan';
import type { PlanInput } from './planInput';

/**
 * A swatch as a plan, to be worked at the bench: a square of known weight that comes as it comes.
 * @param laid mm, g, layers, as it is laid  @param expected shrinkage that its wool is expected to have
 */
export const swatchPlan = (
  laid: { readonly along: number; readonly across: number; readonly grams: number; readonly layers: number },
  expected: PlanInput['shrinkage'],
): PlanInput => {
  const measures = {
    length: laid.along * (1 - expected.along),
    width: laid.across * (1 - expected.across),
    strip: 0,
  };
  const base = newPlan(rectangle, { offer: { title: '', purpose: '', measures }, shrinkage: expected });
  return setAsItComes(
    {
      ...base,
      given: ['size', 'shrinkage', 'layers', 'grams'],
      chain: { layers: laid.layers, grams: laid.grams },
      keptShare: 1,
      reserveShare: 0,
      scaleStepG: 0.1,
    },
    true,
  );
};
