import { describe, expect, it } from 'vitest';
import { FORM_KINDS } from '../../core/forms/kinds/registry';
import { makePlan } from '../../core/plan/makePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { pieceScene } from '../../drawing/scene';
import { newPlan } from '../../core/plan/newPlan';
import { rectangle } from '../../core/forms/kinds/rectangle';
import { gripControls, snapStep } from './controls';

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
        const control = gripControls({ input, plan, units: 'metric', snap: 'fine', set })(grip.target);
        if (!control) throw new Error(`no control for ${grip.target}`);
        control.set(control.value + control.step, true);
        const after = gripControls({
          input: changed,
          plan: planOf(changed),
          units: 'metric',
          snap: 'fine',
          set,
        })(grip.target);
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
      const laidIsHeld = input.given.includes('laidSize');
      const grip = pieceScene(form, { foldOverMm: 0, laidIsHeld }).grips.find(
        g => g.target === 'shrinkage.along',
      );
      const pulled = 0.01;
      const along = input.shrinkage.along + pulled * (grip?.rate ?? 0);
      const after = planOf({ ...input, shrinkage: { along, across: input.shrinkage.across } }).form;
      // Where the laid size is held, the wanted outline is pulled inwards instead.
      const ends = (f: typeof form): number =>
        Math.max(...(laidIsHeld ? f.finished : f.laid.points).map(p => p.x));
      expect((ends(after) - ends(form)) / pulled).toBeCloseTo(laidIsHeld ? -1 : 1, 2);
    },
  );

  it('snaps to whole or half centimetres or to eighths, and finer where the thing is small', () => {
    const step = (units: 'metric' | 'imperial', snap: 'whole' | 'half' | 'fine', value = 400): number =>
      snapStep({ units, snap, value });
    expect([step('metric', 'whole'), step('metric', 'half'), step('metric', 'fine')]).toEqual([10, 5, 1]);
    expect(step('imperial', 'fine')).toBeCloseTo(25.4 / 8, 9);
    expect(step('imperial', 'whole')).toBeCloseTo(25.4 / 2, 9);
    expect(step('metric', 'whole', 20)).toBe(1);
    expect(step('metric', 'half', 5)).toBe(0.5);
  });

  it('says its figure in the units that are read, and knows no handle that is not there', () => {
    const input = newPlan(rectangle);
    const of = { input, plan: planOf(input), snap: 'fine' as const, set: () => undefined };
    expect(gripControls({ ...of, units: 'imperial' })('length')?.text).toBe('15 3/4 in');
    expect(gripControls({ ...of, units: 'metric' })('nothing')).toBeNull();
  });
});
