import { makePlan, type Plan } from '../core/plan/makePlan';
import type { PlanInput } from '../core/plan/planInput';
import type { Result } from '../core/result';

/** Plans by what was decided; a record that did not change keeps its plan, however often a view is drawn. */
const plans = new WeakMap<PlanInput, Result<Plan>>();

/** The plan of what was decided, worked out once. Lives as long as the record is in the tab. */
export const planOf = (input: PlanInput): Result<Plan> => {
  const known = plans.get(input);
  if (known) return known;
  const made = makePlan(input);
  plans.set(input, made);
  return made;
};
