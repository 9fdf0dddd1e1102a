import { formKind } from '../forms/kinds/registry';
import { DRAGGED_FINENESS } from '../tolerances';
import { makePlan, type Plan } from './makePlan';
import type { PlanInput } from './planInput';

/**
 * A plan to draw while what was decided cannot be planned: the form as it begins, with the measures as they stand, so
 * that each can be mended. Null for a form that is not known.
 */
export const standInPlan = (input: PlanInput): Plan | null => {
  const kind = formKind(input.form.kind);
  if (!kind.ok) return null;
  const { defaults, outline } = kind.value;
  const usual = { ...input.form, measures: defaults, outline: outline ?? null };
  const made = makePlan({ ...input, form: usual });
  return made.ok ? { ...made.value, measures: { ...defaults, ...input.form.measures } } : null;
};

/** How finely outlines are offset while something is dragged, mm: by the size the piece had before. */
export const draggedFineness = ({ form }: Plan): number =>
  DRAGGED_FINENESS * Math.max(...form.gauges.map(g => g.laidMm));
