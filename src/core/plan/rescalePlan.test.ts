import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ball } from '../forms/kinds/ball';
import { bowl } from '../forms/kinds/bowl';
import { gridRelief } from '../forms/kinds/gridRelief';
import { rectangle } from '../forms/kinds/rectangle';
import { slipper } from '../forms/kinds/slipper';
import { newPlan } from './newPlan';
import type { PlanInput } from './planInput';
import { lengthOfShare, type RescaleChange, rescalePlan } from './rescalePlan';

const scaled = (input: PlanInput, change: RescaleChange) => {
  const got = rescalePlan(input, change);
  if (!got.ok) throw new Error(JSON.stringify(got.issues));
  return got.value;
};
const gramsRatio = (input: PlanInput, change: RescaleChange): number => {
  const { before, after } = scaled(input, change);
  return (after.values.grams ?? 0) / (before.values.grams ?? 1);
};

describe('a recipe at another size', () => {
  it('half as big: half the area is 29.3 % less of the length, half the volume 20.6 %', () => {
    expect(1 - lengthOfShare(0.5, 'area')).toBeCloseTo(0.293, 3);
    expect(1 - lengthOfShare(0.5, 'volume')).toBeCloseTo(0.206, 3);
    expect(lengthOfShare(0.5, 'length')).toBe(0.5);
    expect(lengthOfShare(4, 'area')).toBeCloseTo(2, 12);
  });

  it('wool goes with the square for a sheet, with the cube for a solid', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 3, noNaN: true }), k => {
        expect(gramsRatio(newPlan(rectangle), { lengthShare: k })).toBeCloseTo(k ** 2, 6);
        expect(gramsRatio(newPlan(ball), { lengthShare: k })).toBeCloseTo(k ** 3, 6);
      }),
      { numRuns: 40 },
    );
  });

  it('the felt stays the same: thickness and firmness, whatever was pinned before', () => {
    const input = {
      ...newPlan(bowl),
      pinned: ['grams'] as const,
      given: ['shrinkage', 'layers', 'thickness', 'size'] as const,
    };
    const pinned: PlanInput = { ...input, chain: { ...input.chain, grams: 150 } };
    const { before, after } = scaled(pinned, { lengthShare: 1.5 });
    expect(after.values.thickness).toBeCloseTo(before.values.thickness ?? 0, 9);
    expect(after.values.firmness).toBeCloseTo(before.values.firmness ?? 0, 9);
    expect((after.values.size ?? 0) / (before.values.size ?? 1)).toBeCloseTo(1.5, 9);
  });

  it('allowances stay: a child’s slipper has the same room at the toe', () => {
    const { after } = scaled(newPlan(slipper), { lengthShare: 0.7 });
    expect(after.measures['toe']).toBe(slipper.defaults['toe']);
    expect(after.values.size).toBeCloseTo(0.7 * slipper.size.of(slipper.defaults, 1), 6);
  });

  it('to another shrinkage it keeps its finished size and its felt, and is laid otherwise', () => {
    for (const kind of [rectangle, gridRelief, slipper]) {
      const { before, after } = scaled(newPlan(kind), { shrinkage: { along: 0.25, across: 0.2 } });
      expect((after.values.size ?? 0) / (before.values.size ?? 1)).toBeCloseTo(1, 9);
      expect((after.values.laidSize ?? 0) * 0.75).toBeCloseTo(before.values.size ?? 0, 6);
      expect(after.shrinkage.across).toBeCloseTo(0.2, 9);
      expect(after.solution.status).toBe('solved');
    }
    // Less shrinkage, same felt: what stays per finished area is the same, so are the grams of a sheet without fold-over.
    expect(gramsRatio(newPlan(rectangle), { shrinkage: { along: 0.2, across: 0.2 } })).toBeCloseTo(1, 9);
  });
});
