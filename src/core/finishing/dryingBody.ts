import type { Plan } from '../plan/makePlan';
import { type Habits, habitOf } from '../ways/habits';
import type { DryingBody } from './dryingHours';

/** What dries of a plan: a solid by its greatest diameter, a wall by its thickness; null while neither is known. */
export const dryingBody = (
  { form, values }: Pick<Plan, 'form' | 'values'>,
  habits: Habits,
  measuredMm: number | null = null,
): DryingBody | null => {
  if (form.solid) {
    const radius = Math.max(0, ...(form.turned?.profile.map(p => p.r) ?? []));
    const diameterMm = radius > 0 ? 2 * radius : Math.min(...form.gauges.map(g => g.wantedMm));
    return diameterMm > 0 && Number.isFinite(diameterMm) ? { is: 'round', diameterMm } : null;
  }
  const thicknessMm = measuredMm ?? values.thickness;
  if (thicknessMm === undefined || !(thicknessMm > 0)) return null;
  return {
    is: 'wall',
    thicknessMm,
    isFolded: form.folds.some(f => f.name.includes('hem')) || habitOf(habits, 'edges') === 'folded',
  };
};
