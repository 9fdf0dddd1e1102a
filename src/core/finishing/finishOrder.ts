import { FINISH_STEPS, type FinishStep } from '../acts/finishSteps';
import { EXCLUDES, type FinishRule, RULES } from './rules';

/** An order of the chosen steps in which no rule is broken, or the two that cannot both be. */
export type FinishOrder =
  | { readonly ok: true; readonly steps: readonly FinishStep[] }
  | { readonly ok: false; readonly clash: (typeof EXCLUDES)[number] };

/**
 * Puts chosen steps in order: each as early as its rules allow, of several the one that usually comes first. Deterministic.
 * @param chosen in any order, repeated or not  @param rules what must come before what; must not run in a circle
 */
export const finishOrder = (
  chosen: Iterable<FinishStep>,
  rules: readonly Pick<FinishRule, 'first' | 'next'>[] = RULES,
): FinishOrder => {
  const left = new Set(chosen);
  const clash = EXCLUDES.find(e => left.has(e.one) && left.has(e.other));
  if (clash) return { ok: false, clash };
  const steps: FinishStep[] = [];
  const isFree = (step: FinishStep): boolean => !rules.some(r => r.next === step && left.has(r.first));
  while (left.size > 0) {
    const next = FINISH_STEPS.find(step => left.has(step) && isFree(step));
    if (next === undefined) throw new Error('The rules of finishing run in a circle.');
    steps.push(next);
    left.delete(next);
  }
  return { ok: true, steps };
};

/**
 * Rules that a step breaks if it is done now.
 * @param chosen all steps that are meant to be done  @param settled those that are done or left out
 */
export const brokenBy = (
  step: FinishStep,
  chosen: readonly FinishStep[],
  settled: ReadonlySet<FinishStep>,
): readonly FinishRule[] =>
  RULES.filter(
    r =>
      (r.next === step && chosen.includes(r.first) && !settled.has(r.first)) ||
      (r.first === step && settled.has(r.next)),
  );

/** Why a step stands where it does in an order: the rules that hold it there. */
export const reasonsFor = (step: FinishStep, chosen: readonly FinishStep[]): readonly FinishRule[] =>
  RULES.filter(
    r => (r.next === step && chosen.includes(r.first)) || (r.first === step && chosen.includes(r.next)),
  );
