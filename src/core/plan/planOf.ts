import type { Result } from '../result';
import { makePlan, type Plan } from './makePlan';
import type { PlanInput } from './planInput';

/** Plans by what was decided; a record that did not change keeps its plan, however often a view is drawn. */
const plans = new WeakMap<PlanInput, Result<Plan>>();

/** The plan of what was decided, worked out once for each record; as pure as `makePlan`. Fails as that does. */
export const planOf = (input: PlanInput): Result<Plan> => {
  const known = plans.get(input);
  if (known) return known;
  const made = makePlan(input);
  plans.set(input, made);
  return made;
};
