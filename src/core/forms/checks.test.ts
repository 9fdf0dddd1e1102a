import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan as plannedBy } from '../plan/testing/pad';
import { newPlan } from '../plan/newPlan';
import { boundsOf, polygonArea } from '../outline/polygon';
import { WOOL_OF_DISC_OVER_BALL } from './discResist';
import { FOLLOWS, settleGrid, solveGrid } from './gridSum';
import { insideMeasures } from './insideMeasures';
import { ball } from './kinds/ball';
import { beadString } from './kinds/beadString';
import { beret } from './kinds/beret';
import { bottleSleeve } from './kinds/bottleSleeve';
import { bowl } from './kinds/bowl';
import { cone } from './kinds/cone';
import { cord } from './kinds/cord';
import { cushion } from './kinds/cushion';
import { drop } from './kinds/drop';
import { egg } from './kinds/egg';
import { flapPocket } from './kinds/flapPocket';
import { flatFlower } from './kinds/flatFlower';
import { gridRelief } from './kinds/gridRelief';
import { nuno } from './kinds/nuno';
import { pod } from './kinds/pod';
import { rectangle } from './kinds/rectangle';
import { rolledFlower } from './kinds/rolledFlower';
import { twoBowls } from './kinds/twoBowls';
import { turnedVolume } from './profile';
import { SHOE_SIZES, ukSize } from './sizeTables';
import { ballVolume, ellipsoidProfile } from './solidBody';
import { spiralLength } from './spiralLength';
import { ellipseGirth, polesOf, spheroidArea } from './spheroidArea';
import { fact, laid, laying, netMm2 } from './testing/laying';

/** Grams of a body of a volume in mm³, nothing lost in rinsing. */
const grams = (mm3: number, density: number): number => (mm3 / 1000) * density;

describe('disc resist', () => {
  // Exact: f(d + h) = (140 + 90)/(1 − s).
  it.each([
    [0.3, 328.6],
    [0.35, 353.8],
    [0.4, 383.3],
  ])('bowl ⌀ 140, 90 high, straight wall, at s %f: disc ⌀ %f', (s, diameter) => {
    const plan = laid(bowl, { mouth: 140, base: 140, height: 90 }, laying(s, s));
    expect(plan.gauges[0]?.laidMm).toBeCloseTo(diameter, 1);
    // Rim – under – rim on the flat disc, less the mouth, is the wall twice and the base.
    expect(2 * bowl.size.of({ mouth: 140, base: 140, height: 90 }, 1) - 140).toBeCloseTo(140 + 2 * 90, 9);
  });

  it('cut across, ⌀ 300 at s 0.35: two bowls of mouth 124.1, depth 97.5', () => {
    // Exact: mouth 4a(1−s)/π, depth a(1−s), a = 150.
    const mouth = (4 * 150 * 0.65) / Math.PI;
    expect(mouth).toBeCloseTo(124.1, 1);
    const plan = laid(twoBowls, { mouth }, laying(0.35, 0.35));
    expect(plan.gauges[0]?.laidMm).toBeCloseTo(300, 9);
    expect(fact(plan, 'depth of each')).toBeCloseTo(97.5, 9);
    expect(plan.yields).toBe(2);
  });

  it('a closed disc carries π²/8 = 1.234 times the wool of the ball it becomes', () => {
    // Both bowls of a disc ⌀ 300 are its two faces; a ball whose half girth is ⌀ 300 has the surface 4π(300/π)².
    const plan = laid(twoBowls, { mouth: (2 * 300) / Math.PI }, laying(0, 0));
    const ballMm2 = 4 * Math.PI * (300 / Math.PI) ** 2;
    expect(netMm2(plan) / ballMm2).toBeCloseTo(Math.PI ** 2 / 8, 3);
    expect(fact(plan, 'wool beside a ball’s')).toBeCloseTo(1.234, 3);
  });

  it('a beret’s hole is f × head girth × (1 − give) as laid', () => {
    const plan = laid(beret, { head: 560, give: 0.1 }, laying(0.36, 0.36));
    const [cut] = plan.cuts;
    const box = boundsOf(cut?.line ?? []);
    expect(Math.PI * (box.maxX - box.minX)).toBeCloseTo((560 * 0.9) / 0.64, 0);
    expect(plan.gauges[0]?.laidMm).toBeCloseTo((270 + 20) / 0.64, 9);
  });
});

describe('ball resist', () => {
  it('girth 600 mm: ⌀ 191.0, 0.11459 m²; 30 g makes 261.8 g/m²', () => {
    const plan = laid(pod, { girth: 600, over: 600 }, laying(0, 0));
    expect(fact(plan, 'ball, width')).toBeCloseTo(191.0, 1);
    expect(netMm2(plan) / 1e6).toBeCloseTo(0.11459, 5);
    expect(30 / (netMm2(plan) / 1e6)).toBeCloseTo(261.8, 1);
  });

  it('a balloon of two girths has the surface of a spheroid', () => {
    // An oblate spheroid of half axes 100, 100, 50: 86 719.5 mm² by numerical integration of the profile.
    const turned = ellipsoidProfile(100, 200);
    const wall = turned.slice(1).reduce((sum, p, i) => {
      const q = turned[i] ?? p;
      return sum + Math.PI * (p.r + q.r) * Math.hypot(p.z - q.z, p.r - q.r);
    }, 0);
    expect(spheroidArea(200, 100) / wall).toBeCloseTo(1, 3);
    expect(spheroidArea(100, 100)).toBeCloseTo(Math.PI * 1e4, 6);
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 900, noNaN: true }),
        fc.double({ min: 0.7, max: 1.6, noNaN: true }),
        (girth, k) => {
          const poles = polesOf(girth, girth * k);
          expect(ellipseGirth(girth / Math.PI, poles) / (girth * k)).toBeCloseTo(1, 7);
        },
      ),
    );
  });
});

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

describe('nuno', () => {
  it('cloth is cut as finished × f each way, wool lies on its share of it', () => {
    const plan = laid(nuno, { length: 1500, width: 300, share: 0.5, cloth: 20 }, laying(0.4, 0.25));
    expect(plan.gauges.map(g => Number(g.laidMm))).toEqual([expect.closeTo(2500, 9), expect.closeTo(400, 9)]);
    expect(netMm2(plan)).toBeCloseTo((2500 * 400) / 2, 6);
    expect(fact(plan, 'cloth')).toBeCloseTo(20, 9);
    expect(fact(plan, 'cloth when gathered')).toBeCloseTo(20 / (0.6 * 0.75), 9);
  });
});

describe('a flap', () => {
  it('is laid on one face only, beyond the fold line, and has no fold-over', () => {
    const flat = { height: 100, width: 200, flap: 60, corner: 0, flapCorner: 0 };
    const plan = laid(flapPocket, flat, laying(0, 0, { foldOver: 20 }));
    const [back, front] = plan.faces;
    expect(back?.netMm2).toBeCloseTo(160 * 200, 6);
    expect(front?.netMm2).toBeCloseTo(100 * 200, 6);
    expect(plan.folds[0]?.line.map(p => p.x)).toEqual([20, 20]);
    expect(boundsOf(back?.wool.flat() ?? []).maxX).toBeCloseTo(80, 3);
    expect(boundsOf(front?.wool.flat() ?? []).maxX).toBeCloseTo(20, 3);
    // Wool past three closed sides of the pocket, two round corners; none past flap or mouth.
    const sides = 2 * 100 * 20 + 200 * 20 + (Math.PI * 400) / 2;
    expect(back?.woolMm2).toBeCloseTo(160 * 200 + sides, -2);
    expect(front?.woolMm2).toBeCloseTo(100 * 200 + sides, -2);
  });
});

describe('outside measures', () => {
  it('lose two walls across, 2π walls round, one from a closed end', () => {
    const inside = insideMeasures(bottleSleeve, { ...bottleSleeve.defaults, body: 300, height: 200 }, 5);
    expect(inside['body']).toBeCloseTo(300 - 10 * Math.PI, 9);
    expect(inside['height']).toBe(195);
    expect(inside['shoulder']).toBe(bottleSleeve.defaults['shoulder']);
    expect(insideMeasures(cushion, cushion.defaults, 4)['length']).toBe(392);
  });

  it('a plan by outside measures is that of the inside ones, also where the wall itself follows', () => {
    const base = newPlan(cushion);
    const outside = { ...base, form: { ...base.form, measuredOn: 'outside' as const } };
    const made = plannedBy(outside);
    expect(made.form.gauges[0]?.wantedMm).toBeCloseTo(400 - 2 * 4, 6);
    const held = plannedBy({
      ...outside,
      given: ['size', 'shrinkage', 'layers', 'firmness', 'grams'],
      chain: { ...base.chain, grams: 300 },
    });
    const wall = held.values.thickness ?? 0;
    expect(wall).toBeGreaterThan(1);
    expect(held.form.gauges[0]?.wantedMm).toBeCloseTo(400 - 2 * wall, 5);
  });
});

describe('what makers know (common practice)', () => {
  const planned = (
    kind: Parameters<typeof newPlan>[0],
    measures: Record<string, number>,
    chain: Record<string, number>,
    s = 0.33,
  ) => {
    const base = newPlan(kind, { shrinkage: { along: s, across: s } });
    return plannedBy({
      ...base,
      chain: { ...base.chain, ...chain },
      form: { ...base.form, measures: { ...kind.defaults, ...measures } },
    });
  };

  it('a pod on a ball of 60 cm girth takes 30 g at least', () => {
    // The ball is the resist, so 600 mm are laid.
    const made = planned(pod, { girth: 600 * 0.7, over: 600 * 0.7 }, { thickness: 2.5, firmness: 0.2 }, 0.3);
    expect(made.values.laidSize).toBeCloseTo(600, 6);
    expect(made.values.grams).toBeGreaterThan(27);
    expect(made.values.grams).toBeLessThan(60);
  });

  it('a small flat flower laid 13 cm across takes about 2 g', () => {
    const made = planned(flatFlower, { diameter: 130 * 0.67 }, { thickness: 1.5, firmness: 0.2 });
    expect(made.values.laidSize).toBeCloseTo(130, 6);
    expect(made.values.grams).toBeGreaterThan(1.4);
    expect(made.values.grams).toBeLessThan(2.8);
  });

  it('a bead of 2 cm takes about 2 g at most', () => {
    expect(planned(ball, { diameter: 20 }, { firmness: 0.3 }).values.grams).toBeGreaterThan(1);
    expect(planned(ball, { diameter: 20 }, { firmness: 0.45 }).values.grams).toBeLessThan(2.1);
  });

  it('a relief sheet 20 cm square takes 16 g: 400 g/m² as laid', () => {
    const made = planned(
      rectangle,
      { length: 200 * 0.7, width: 200 * 0.7 },
      { thickness: 4, firmness: 0.2 },
      0.3,
    );
    expect(made.values.grams).toBeGreaterThan(13);
    expect(made.values.grams).toBeLessThan(19);
  });

  it('a dryer ball of 7 cm: about 51 g of core and 6–10 g of cover', () => {
    const made = planned(ball, { diameter: 70, core: 1, cover: 2 }, { firmness: 0.325 });
    const [core, cover] = made.weigh?.faces ?? [];
    expect(core?.grams).toBeGreaterThan(46);
    expect(core?.grams).toBeLessThan(56);
    expect(cover?.grams).toBeGreaterThan(6);
    expect(cover?.grams).toBeLessThan(10.5);
  });

  it('a pair takes twice the wool of one, weighed twice alike', () => {
    const one = plannedBy({ ...newPlan(cone), pieces: 1 });
    const pair = plannedBy({ ...newPlan(cone), pieces: 2 });
    expect((pair.values.grams ?? 0) / (one.values.grams ?? 1)).toBeCloseTo(2, 9);
    expect(pair.weigh?.total).toBe(one.weigh?.total);
    expect(pair.weigh?.times).toBe(2);
    expect(pair.laidGramsEach).toBe(one.laidGramsEach);
  });
});

describe('shoe sizes', () => {
  // Paris point 2/3 cm and barleycorn 1/3 in of last length (ISO/TS 19407, from memory); a last 15 mm over the foot.
  it('EU 38 is a foot of about 24 cm and a UK 5; EU 42 of 26.5 cm and a UK 8', () => {
    const row = (text: string) => SHOE_SIZES.rows.find(r => r.text.startsWith(text));
    expect(row('EU 38')?.mm).toBeCloseTo(238.3, 1);
    expect(row('EU 38')?.text).toContain('UK 5');
    expect(row('EU 42')?.mm).toBeCloseTo(265, 6);
    expect(row('EU 42')?.text).toContain('UK 8');
    expect(ukSize(118)).toBe('UK child 4');
  });
});

describe('a profile that is turned', () => {
  it('holds a cone of a third of its cylinder, and a ball', () => {
    expect(
      turnedVolume([
        { z: 0, r: 0 },
        { z: 90, r: 30 },
      ]),
    ).toBeCloseTo((Math.PI * 900 * 90) / 3, 6);
    expect(turnedVolume(ellipsoidProfile(50, 50))).toBeCloseTo(ballVolume(50), 6);
    expect(polygonArea(laid(ball, { diameter: 50 }, laying(0, 0)).finished)).toBeCloseTo(Math.PI * 625, -1);
  });
});
