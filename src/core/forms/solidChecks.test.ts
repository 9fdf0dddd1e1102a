import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan as plannedBy } from '../plan/testing/pad';
import { newPlan } from '../plan/newPlan';
import { FOLLOWS, settleGrid, solveGrid } from './gridSum';
import { ball } from './kinds/ball';
import { beadString } from './kinds/beadString';
import { cord } from './kinds/cord';
import { drop } from './kinds/drop';
import { egg } from './kinds/egg';
import { gridRelief } from './kinds/gridRelief';
import { rolledFlower } from './kinds/rolledFlower';
import { ballVolume } from './solidBody';
import { spiralLength } from './spiralLength';
import { fact, laid, laying } from './testing/laying';

/** Grams of a body of a volume in mm³, nothing lost in rinsing. */
const grams = (mm3: number, density: number): number => (mm3 / 1000) * density;

describe('solids', () => {
  // Exact: m = ρ·π·d³/6.
  it.each([
    [20, 0.25, 1.08],
    [25, 0.25, 2.109],
    [40, 0.22, 7.6],
    // 4.1888·0.25 = 1.047 g and 8.1812·0.25 = 2.045 g are the exact masses of ⌀ 20 and 25.
  ])('⌀ %i mm at %f g/cm³', (d, density, said) => {
    const plan = laid(ball, { diameter: d }, laying(0.3, 0.3));
    const felt = plan.solid?.feltMm3 ?? 0;
    expect(felt).toBeCloseTo((Math.PI / 6) * d ** 3, 3);
    // The model's figures include the share that stays, η = 0.97.
    expect(grams(felt, density) / 0.97).toBeCloseTo(said, 2);
  });

  it('a cover of 5 mm on ⌀ 70 at 0.25 is 16.62 g before losses', () => {
    const plan = laid(ball, { diameter: 70, core: 2, cover: 5 }, laying(0.3, 0.3));
    expect(grams(plan.solid?.feltMm3 ?? 0, 0.25)).toBeCloseTo(16.62, 2);
  });

  it('core and cover share the wool of the whole ball', () => {
    const plan = laid(ball, { diameter: 70, core: 1, cover: 5 }, laying(0.3, 0.3));
    const [core, cover] = plan.solid?.heaps ?? [];
    expect((core?.share ?? 0) + (cover?.share ?? 0)).toBeCloseTo(1, 12);
    expect(core?.share).toBeCloseTo((60 / 70) ** 3, 12);
  });

  it('grams go with the cube, and are found back from them, for every ball', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 200, noNaN: true }),
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        (d, density) => {
          const base = newPlan(ball);
          const sized = (diameter: number) =>
            plannedBy({
              ...base,
              chain: { firmness: density },
              form: { ...base.form, measures: { ...ball.defaults, diameter } },
            });
          const one = sized(d);
          expect((sized(2 * d).values.grams ?? 0) / (one.values.grams ?? 1)).toBeCloseTo(8, 6);
          const back = plannedBy({
            ...base,
            given: ['grams', 'shrinkage', 'firmness'],
            chain: { firmness: density, grams: one.values.grams ?? 0 },
          });
          expect((back.values.size ?? 0) / d).toBeCloseTo(1, 5);
          expect((one.values.laidSize ?? 0) * 0.7).toBeCloseTo(d, 6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('eggs and drops hold what their turned outline holds', () => {
    const bean = laid(egg, { length: 60, width: 40, lean: 0 }, laying(0.3, 0.3));
    expect(bean.solid?.feltMm3).toBeCloseTo((Math.PI / 6) * 60 * 40 * 40, 3);
    // Moving the widest place changes the volume little: the widest section is the same.
    const leant = laid(egg, { length: 60, width: 40, lean: 0.2 }, laying(0.3, 0.3)).solid?.feltMm3 ?? 0;
    expect(leant / (bean.solid?.feltMm3 ?? 1)).toBeGreaterThan(0.98);
    expect(leant / (bean.solid?.feltMm3 ?? 1)).toBeLessThan(1.06);
    // Ball cap and tangent cone, r 13, length 50: cos β = 13/37; exact frustum and cap.
    const [r, reach] = [13, 37];
    const touch = (r * r) / reach;
    const cap = (Math.PI / 3) * (r + touch) ** 2 * (2 * r - touch);
    const tip = (Math.PI / 3) * (r * r - touch * touch) * (reach - touch);
    expect(
      (laid(drop, { length: 50, width: 26 }, laying(0, 0)).solid?.feltMm3 ?? 0) / (cap + tip),
    ).toBeCloseTo(1, 3);
  });

  it('a cord is ρ·π·d²/4·ℓ, laid ℓ/(1 − s), and its dry fan comes on top', () => {
    const plan = laid(cord, { length: 300, width: 8, tip: 8, fan: 100 }, laying(0.25, 0.25));
    expect(plan.solid?.feltMm3).toBeCloseTo((Math.PI / 4) * 64 * 300, 6);
    expect(fact(plan, 'to pull off')).toBeCloseTo(300 / 0.75 + 100, 9);
    expect(plan.solid?.extraShare).toBeCloseTo(100 / 400, 12);
    const planned = plannedBy({ ...newPlan(cord), keptShare: 1 });
    const [felt, extra] = [planned.form.solid?.feltMm3 ?? 0, planned.form.solid?.extraShare ?? 0];
    expect(planned.values.grams).toBeCloseTo(grams(felt, 0.24) * (1 + extra), 9);
  });

  it('beads: grams for all, one volume each, and count, gap or length from the other two', () => {
    const plan = laid(beadString, { diameter: 20, count: 18 }, laying(0.33, 0.33));
    expect(plan.solid?.feltMm3).toBeCloseTo(18 * ballVolume(20), 2);
    const settled = (m: Record<string, number>, id: string) =>
      beadString.settle?.({ ...beadString.defaults, ...m }, id) ?? {};
    expect(settled({ length: 450, gap: 5, diameter: 20, closed: 1 }, 'length')['count']).toBe(18);
    expect(settled({ length: 445, gap: 5, diameter: 20, closed: 0 }, 'length')['count']).toBe(18);
    expect(settled({ follows: 1, count: 10, gap: 5, diameter: 20, closed: 0 }, 'count')['length']).toBe(245);
    expect(settled({ follows: 2, count: 10, length: 260, diameter: 20, closed: 1 }, 'count')['gap']).toBe(6);
    // Typing the figure that follows makes another follow.
    expect(settled({ follows: 0, count: 12 }, 'count')['follows']).toBe(1);
  });
});

describe('strip on a tube', () => {
  it('r0 12, turns of 1.5 mm, 6 of them: 622.1 mm', () => {
    expect(spiralLength({ r0: 12, layer: 1.5, turns: 6 })).toBeCloseTo(622.1, 1);
    expect(
      fact(laid(rolledFlower, { tube: 24, layer: 1.5, turns: 6 }, laying(0.3, 0.3)), 'strip length'),
    ).toBeCloseTo(622.1, 1);
  });

  it('is near the sum of its turns as circles, for every roll', () => {
    const any = fc.record({
      r0: fc.double({ min: 2, max: 80, noNaN: true }),
      layer: fc.double({ min: 0.3, max: 8, noNaN: true }),
      turns: fc.integer({ min: 1, max: 30 }),
    });
    fc.assert(
      fc.property(any, ({ r0, layer, turns }) => {
        const circles = Array.from({ length: turns }, (_, i) => 2 * Math.PI * (r0 + (i + 0.5) * layer));
        expect(spiralLength({ r0, layer, turns }) / circles.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 1);
      }),
    );
  });
});

describe('grid resist', () => {
  const GRID = {
    long: 420,
    wide: 330,
    longCells: 5,
    wideCells: 4,
    bar: 12,
    border: 18,
    follows: FOLLOWS.cells,
  };

  it('420 × 330, 5 × 4, bars 12, border 18: cells 67.2 × 64.5, felted together 0.625', () => {
    const m = settleGrid({ ...gridRelief.defaults, ...GRID }, 'bar');
    expect([m['longCell'], m['wideCell']]).toEqual([expect.closeTo(67.2, 9), expect.closeTo(64.5, 9)]);
    const plan = laid(gridRelief, m, laying(0.3, 0.2));
    expect(fact(plan, 'felted together')).toBeCloseTo(0.625, 3);
    expect(fact(plan, 'cell finished, lengthwise')).toBeCloseTo(67.2 * 0.7, 9);
    expect(plan.gauges[0]?.laidMm).toBeCloseTo(420, 9);
    expect(plan.cuts).toHaveLength(4 + 3);
  });

  it('8 × 8 in, 3 × 3 cells of 2 in, bars and border ½ in fits exactly, 0.5625', () => {
    const inch = 25.4;
    expect(
      solveGrid({ outer: 8 * inch, n: 3, bar: inch / 2, border: inch / 2, cell: Number.NaN }, 'cell'),
    ).toBeCloseTo(2 * inch, 9);
    const m = {
      ...gridRelief.defaults,
      long: 8 * inch,
      wide: 8 * inch,
      longCells: 3,
      wideCells: 3,
      longCell: 2 * inch,
      wideCell: 2 * inch,
      bar: inch / 2,
      border: inch / 2,
    };
    expect(gridRelief.objection(m)).toBeNull();
    expect(fact(laid(gridRelief, m, laying(0, 0)), 'felted together')).toBeCloseTo(0.5625, 12);
    expect(gridRelief.objection({ ...m, bar: inch })).toContain('bars and border');
  });

  it('any one figure comes back from the others', () => {
    const any = fc.record({
      n: fc.integer({ min: 2, max: 20 }),
      cell: fc.double({ min: 5, max: 200, noNaN: true }),
      bar: fc.double({ min: 1, max: 60, noNaN: true }),
      border: fc.double({ min: 1, max: 90, noNaN: true }),
    });
    fc.assert(
      fc.property(any, g => {
        const whole = { ...g, outer: solveGrid({ ...g, outer: Number.NaN }, 'outer') };
        for (const left of ['cell', 'bar', 'border'] as const)
          expect(solveGrid({ ...whole, [left]: Number.NaN }, left)).toBeCloseTo(whole[left], 6);
      }),
    );
  });

  it('what is typed does not follow', () => {
    const cells = settleGrid({ ...gridRelief.defaults, ...GRID, longCell: 80, wideCell: 64.5 }, 'longCell');
    expect(cells['follows']).toBe(FOLLOWS.outer);
    expect(cells['long']).toBeCloseTo(5 * 80 + 4 * 12 + 36, 9);
    const outer = settleGrid({ ...cells, long: 500 }, 'long');
    expect(outer['follows']).toBe(FOLLOWS.cells);
    for (const follows of [FOLLOWS.bar, FOLLOWS.border, FOLLOWS.outer, FOLLOWS.cells])
      expect(gridRelief.objection(settleGrid({ ...gridRelief.defaults, follows }, 'longCells'))).toBeNull();
  });
});
