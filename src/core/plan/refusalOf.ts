import type { Issue, IssueCode } from '../issues';
import type { PlanInput } from './planInput';
import { planOf } from './planOf';

/** What a plan must not come to by one figure that is typed or dragged. What is drawn may cross itself meanwhile. */
const REFUSED: ReadonlySet<IssueCode> = new Set([
  'BEYOND_LIMITS',
  'WALL_TOO_THICK',
  'NOT_SETTLED',
  'PLAN_FAILED',
]);

/**
 * Why a change of a plan is not made: a plan that stood would not stand any more. Empty where it is made; a plan that does not stand
 * already may be changed in any way, since it is being mended.
 */
export const refusalOf = (before: PlanInput, after: PlanInput): readonly Issue[] => {
  if (!planOf(before).ok) return [];
  const made = planOf(after);
  return made.ok ? [] : made.issues.filter(i => REFUSED.has(i.code));
};
