import { describe, expect, it } from 'vitest';
import { FORM_KINDS } from '../../core/forms/registry';
import { makePlan } from '../../core/plan/makePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { pieceScene } from '../../drawing/scene';
import { newPlan } from '../../records/piece';
import { gripControls } from './controls';

const planOf = (input: PlanInput) => {
  const plan = makePlan(input);
  if (!plan.ok) throw new Error('does not plan');
  return plan.value;
};

describe('handles on the drawing', () => {
  it.each(FORM_KINDS.map(k => [k.kind, k] as const))(
    '%s: every handle changes what it says, and the plan still holds',
    (_, kind) => {
      const input = newPlan(kind);
      const plan = planOf(input);
      const { grips } = pieceScene(plan.form, { foldOverMm: input.foldOverMm });
      expect(grips.length).toBeGreaterThan(2);
      for (const grip of grips) {
        let changed: PlanInput = input;
        const set = (change: (p: PlanInput) => PlanInput): void => {
          changed = change(input);
        };
        const control = gripControls({ input, plan, units: 'metric', set })(grip.target);
        if (!control) throw new Error(`no control for ${grip.target}`);
        control.set(control.value + control.step, true);
        const after = gripControls({ input: changed, plan: planOf(changed), units: 'metric', set })(
          grip.target,
        );
        expect(after?.value).toBeCloseTo(control.value + control.step, 9);
        expect(planOf(changed).solution.status).toBe('solved');
      }
    },
  );

  it.each(FORM_KINDS.map(k => [k.kind, k] as const))(
    '%s: pulling a handle of the laid outline makes it longer by as much as is pulled',
    (_, kind) => {
      const input = newPlan(kind);
      const { form } = planOf(input);
      const grip = pieceScene(form, { foldOverMm: 0 }).grips.find(g => g.target === 'shrinkage.along');
      const pulled = 0.01;
      const along = input.shrinkage.along + pulled * (grip?.rate ?? 0);
      const after = planOf({ ...input, shrinkage: { along, across: input.shrinkage.across } }).form;
      const ends = (f: typeof form): number => Math.max(...f.laid.points.map(p => p.x));
      expect((ends(after) - ends(form)) / pulled).toBeCloseTo(1, 2);
    },
  );

  it('snap to an eighth of an inch where inches are read', () => {
    const [kind] = FORM_KINDS;
    if (!kind) throw new Error('no form');
    const input = newPlan(kind);
    const control = gripControls({ input, plan: planOf(input), units: 'imperial', set: () => undefined })(
      'length',
    );
    expect(control?.step).toBeCloseTo(3.175, 9);
    expect(control?.text).toBe('15 3/4 in');
    expect(
      gripControls({ input, plan: planOf(input), units: 'metric', set: () => undefined })('nothing'),
    ).toBeNull();
  });
});
