import { FINISH_STEPS, type FinishStep } from '../acts/finishSteps';
import type { FormPlan, Purpose } from '../forms/formKind';
import type { Recipe } from '../recipe/recipe';

/** What every piece goes through. Common practice. */
const ALWAYS: readonly FinishStep[] = ['rinse', 'soak', 'rinseOut', 'towel', 'dry', 'record'];

/**
 * The steps of finishing that are usual for a form: a ball keeps its shape by itself, a mat is pressed flat, what is worn is trimmed.
 * Where a recipe names some, those are taken. Common practice.
 */
export const usualFinish = (
  form: Pick<FormPlan, 'solid' | 'outlineIs'>,
  of: { readonly purpose: Purpose; readonly recipe: Recipe | null },
): readonly FinishStep[] => {
  const asked = of.recipe?.steps.flatMap(s => FINISH_STEPS.filter(known => known === s.act)) ?? [];
  if (asked.length > 0) return [...new Set<FinishStep>([...asked, 'record'])];
  if (form.solid) return ALWAYS;
  const isFlat = form.outlineIs === 'layout' || form.outlineIs === 'cloth';
  return [...ALWAYS, isFlat ? 'flat' : 'shape', ...(of.purpose === 'wear' ? (['trimFuzz'] as const) : [])];
};
