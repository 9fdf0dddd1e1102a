import { issue } from '../issues';
import { err, type Result } from '../result';
import { makePlan, type Plan } from './makePlan';
import type { PlanInput } from './planInput';

/** Plans by what was decided; a record that did not change keeps its plan, however often a view is drawn. */
const plans = new WeakMap<PlanInput, Result<Plan>>();

/**
 * As `makePlan`, and whatever it did not foresee is an issue too: one broken piece must not take a view with all the others down.
 */
const makeOrFail = (input: PlanInput): Result<Plan> => {
  try {
    return makePlan(input);
  } catch (error) {
    return err(issue('PLAN_FAILED', 'plan', { detail: error instanceof Error ? `${error.message}.` : '' }));
  }
};

/** The plan of what was decided, worked out once for each record; as pure as `makePlan`. Never throws; fails as that does, or with PLAN_FAILED. */
export const planOf = (input: PlanInput): Result<Plan> => {
  const known = plans.get(input);
  if (known) return known;
  const made = makeOrFail(input);
  plans.set(input, made);
  return made;
};
