import { formKind } from '../forms/kinds/registry';
import { DRAGGED_FINENESS } from '../tolerances';
import type { Plan } from './makePlan';
import { newPlan } from './newPlan';
import { planOf } from './planOf';
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
  const sameFelt = planOf({ ...input, form: usual });
  const made = sameFelt.ok ? sameFelt : planOf(newPlan(kind.value));
  if (!made.ok) return null;
  // What is held is shown as it is held, so that it can be changed.
  const held = Object.fromEntries(
    Object.entries(input.chain).filter(([link]) => [...input.pinned, ...input.given].some(l => l === link)),
  );
  return {
    ...made.value,
    measures: { ...defaults, ...input.form.measures },
    values: { ...made.value.values, ...held },
  };
};

/** How finely outlines are offset while something is dragged, mm: by the size the piece had before. */
export const draggedFineness = ({ form }: Plan): number =>
  DRAGGED_FINENESS * Math.max(...form.gauges.map(g => g.laidMm));
