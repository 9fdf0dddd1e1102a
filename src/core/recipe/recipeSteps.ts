import { ACT_STEPS } from '../acts/act';
import type { StepRest } from '../acts/actSpec';
import { FINISH_STEPS } from '../acts/finishSteps';
import type { RecipeStep } from '../acts/recipeStep';

/** Steps that come after the felting: the work may still speak against them. */
export const AFTER_FELTING: ReadonlySet<string> = new Set(FINISH_STEPS);

/** Every step a recipe may have, by its name: what acts answer to, in the order of the register. */
export const RECIPE_STEPS: ReadonlyMap<string, StepRest> = new Map(ACT_STEPS.map(s => [s.step, s] as const));

/** The kind of act that answers to a step; null for one that is ticked off. */
export const actOfStep = (step: string): string | null => ACT_STEPS.find(s => s.step === step)?.kind ?? null;

/** A step as it begins: what is chosen for it is in it, nothing is only shown. */
export const freshStep = (id: string, act: string): RecipeStep => ({
  id,
  act,
  ...RECIPE_STEPS.get(act)?.begins,
});

/** A step of a recipe in words. */
export const recipeStepWords = (step: RecipeStep, faces: number): string =>
  RECIPE_STEPS.get(step.act)?.words(step, faces > 1 ? ', each side' : '') ?? step.act;
