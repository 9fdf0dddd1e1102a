import { controlOf } from '../acts/act';
import { type Recipe, SCHOOLS } from './recipe';
import { actOfStep } from './recipeSteps';

/**
 * Schools to start from in a way of working: those that ask for no act that is not done in it.
 * @param acts of the way
 */
export const schoolsOf = (acts: readonly string[]): readonly Recipe[] =>
  SCHOOLS.filter(school =>
    school.steps.every(step => {
      const kind = actOfStep(step.act);
      return kind === null || controlOf(kind)?.key == null || acts.includes(kind);
    }),
  );
