import { ACT_STEPS } from '../acts/act';
import type { StepRest } from '../acts/actSpec';
import { forMinutes } from '../acts/actWords';
import type { RecipeStep } from '../acts/recipeStep';

/** A step that only the felter can say is done: nothing in the log settles it. */
const tick = (of: Omit<StepRest, 'left'>): StepRest => ({ ...of, left: () => [{ does: 'tick' }] });

const inWater = ({ water }: RecipeStep): string => (water ? ` in ${water} water` : '');

/** Steps that no act answers to yet. */
const TICKS: Readonly<Record<string, StepRest>> = {
  rinse: tick({
    name: 'rinse',
    takes: ['water'],
    begins: { water: 'warm' },
    words: step => `Rinse${inWater(step)} until the water is clear; squeeze, never wring`,
  }),
  soak: tick({
    name: 'soak',
    takes: ['minutes', 'water'],
    begins: { water: 'cold' },
    words: step => `Soak${inWater(step)}${forMinutes(step.minutes)}, with a dash of white vinegar`,
  }),
  shape: tick({
    name: 'shape',
    takes: [],
    words: () => 'Roll it in a towel and shape it: it dries the way you leave it',
  }),
  dry: tick({
    name: 'dry',
    takes: ['minutes'],
    words: step => `Let it dry${forMinutes(step.minutes)}`,
  }),
};
/** Ticks that come after the felting: the work may still speak against them. */
export const AFTER_FELTING: ReadonlySet<string> = new Set(['rinse', 'soak', 'shape', 'dry']);

/** Every step a recipe may have, by its name: what acts answer to, in the order of the register, and what is ticked off. */
export const RECIPE_STEPS: ReadonlyMap<string, StepRest> = new Map([
  ...ACT_STEPS.map(s => [s.step, s] as const),
  ...Object.entries(TICKS),
]);

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
