import { describe, expect, it } from 'vitest';
import { FORM_KINDS, formKind } from '../forms/kinds/registry';
import { newPlan, startFrom } from './newPlan';
import { planOf } from './planOf';
import { setLink, setMeasure, togglePin } from './setLink';
import type { PlanInput } from './planInput';

const panel = (): PlanInput => {
  const kind = formKind('grid-relief');
  if (!kind.ok) throw new Error('no relief panel');
  return newPlan(kind.value);
};
const solved = (input: PlanInput) => {
  const plan = planOf(input);
  if (!plan.ok || plan.value.solution.status !== 'solved') throw new Error('not solved');
  return plan.value.values;
};

describe('a form that is measured as it is cut', () => {
  it('a finished size that was typed stays when the grid is cut longer, and the shrinkage follows', () => {
    const wish = setLink(togglePin(panel(), 'laidSize'), 'size', 280);
    expect(solved(wish)).toMatchObject({ laidSize: 420, size: 280 });
    const longer = solved(setMeasure(wish, 'long', 450));
    expect(longer.laidSize).toBeCloseTo(450, 6);
    expect(longer.size).toBeCloseTo(280, 6);
    expect(longer.shrinkage).toBeCloseTo(1 - 280 / 450, 6);
  });

  it('a finished size that is kept is not overwritten by the size of the grid', () => {
    const longer = solved(setMeasure(togglePin(panel(), 'size'), 'long', 450));
    expect(longer.size).toBeCloseTo(294, 6);
    expect(longer.laidSize).toBeCloseTo(450, 6);
  });

  it('a laid length that is kept stays when the panel is made wider', () => {
    const wider = solved(setMeasure(togglePin(panel(), 'laidSize'), 'wide', 400));
    expect(wider).toMatchObject({ laidSize: 420, shrinkage: 0.3 });
  });
});

describe('a resist that one has', () => {
  it.each(FORM_KINDS.map(kind => [kind.kind, kind] as const))(
    '%s: changes the size, never the shrinkage in silence',
    (_, kind) => {
      const from = startFrom(newPlan(kind), 'laidSize');
      const { laidSize = 0, shrinkage = 0 } = solved(from);
      for (const times of [0.3, 0.5, 0.8, 1.5, 3]) {
        const plan = planOf(setLink(from, 'laidSize', laidSize * times));
        const found = plan.ok ? plan.value.values : null;
        // Refused with its reason, or made at the shrinkage that was expected.
        expect(found === null || Math.abs((found.shrinkage ?? 1) - shrinkage) < 1e-6).toBe(true);
        expect(found === null ? plan.ok : found.laidSize).toBe(found === null ? false : laidSize * times);
      }
    },
  );
});
