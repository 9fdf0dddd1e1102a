import type { UsualWork } from '../acts/actSpec';
import type { Judge } from '../acts/vocabulary';
import type { WayId } from '../forms/wayId';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import { ok, type Result } from '../result';
import type { Habits } from '../ways/habits';
import { wayOf } from '../ways/register';
import type { Rehearsed } from './hidden';

/** What is rehearsed, as it is decided: it can be sent and kept. */
export interface RehearsalSetup {
  readonly plan: PlanInput;
  /** As its maker chose; null where it is as usual for its form. */
  readonly way: WayId | null;
  readonly judge: Judge;
  readonly habits: Habits;
  readonly usual: UsualWork;
}

/** What is rehearsed, worked out. Fails as `planOf` does. */
export const rehearsedOf = ({ plan, way, judge, habits, usual }: RehearsalSetup): Result<Rehearsed> => {
  const made = planOf(plan);
  if (!made.ok) return made;
  const { form, kind } = made.value;
  return ok({ form, way: wayOf(kind, form, way), judge: form.asItComes ? 'feel' : judge, habits, usual });
};
