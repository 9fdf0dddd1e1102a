import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan as plannedBy } from '../plan/testing/pad';
import { newPlan } from '../plan/newPlan';
import { boundsOf, polygonArea } from '../outline/polygon';
import { insideMeasures } from './insideMeasures';
import { ball } from './kinds/ball';
import { beret } from './kinds/beret';
import { bottleSleeve } from './kinds/bottleSleeve';
import { bowl } from './kinds/bowl';
import { cone } from './kinds/cone';
import { cushion } from './kinds/cushion';
import { flapPocket } from './kinds/flapPocket';
import { flatFlower } from './kinds/flatFlower';
import { nuno } from './kinds/nuno';
import { pod } from './kinds/pod';
import { rectangle } from './kinds/rectangle';
import { twoBowls } from './kinds/twoBowls';
import { turnedVolume } from './profile';
import { SHOE_SIZES, ukSize } from './sizeTables';
import { ballVolume, ellipsoidProfile } from './solidBody';
import { ellipseGirth, polesOf, spheroidArea } from './spheroidArea';
import { fact, laid, laying, netMm2 } from './testing/laying';

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
    expect(plan.gauges[0]?.laidMm).toBeCloseTo((260 + 20) / 0.64, 9);
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

// All common practice, no published source.
describe('what a form begins with is what a maker would begin with', () => {
  const begun = (kind: Parameters<typeof newPlan>[0], title = kind.title) => {
    const offer = [kind, ...(kind.also ?? [])].find(o => o.title === title);
    return plannedBy(newPlan(kind, offer ? { offer } : {}));
  };

  it('a dryer ball of 7 cm weighs 50 g and more, at about 0.30 g/cm³', () => {
    const made = begun(ball, 'Dryer ball');
    expect(made.values.grams).toBeGreaterThan(50);
    expect(made.values.grams).toBeLessThan(62);
    expect(made.values.firmness).toBe(0.3);
    const { values } = begun(ball, 'Batch of balls with a core');
    expect((values.grams ?? 0) / 12).toBeGreaterThan(50);
  });

  it('a bead of 2 cm is 1.1 g by density, and the 2 g that people weigh out stand beside it', () => {
    const made = plannedBy({
      ...newPlan(ball),
      form: { ...newPlan(ball).form, measures: { ...ball.defaults, diameter: 20 } },
    });
    expect(made.values.grams).toBeCloseTo(1.08, 2);
    const said = made.form.facts.find(f => f.name === 'as people weigh it out');
    expect(said?.value).toBeCloseTo(2, 9);
    expect(said?.why).toContain('fibre is lost');
    expect(begun(ball, 'Dryer ball').form.facts).toEqual([]);
  });

  it('a flat flower laid 13 cm across takes about 2 g', () => {
    const made = begun(flatFlower);
    expect(made.values.laidSize).toBeGreaterThan(120);
    expect(made.values.grams).toBeGreaterThan(1.7);
    expect(made.values.grams).toBeLessThan(2.3);
  });

  it('a beret is laid on a disc of 35 to 40 cm', () => {
    const { laidSize } = begun(beret).values;
    expect(laidSize).toBeGreaterThan(350);
    expect(laidSize).toBeLessThan(400);
  });

  it('a pod on a ball of 60 cm girth takes 30 g at least', () => {
    const made = begun(pod);
    expect(made.values.laidSize).toBeCloseTo(600, 6);
    expect(made.values.grams).toBeGreaterThan(30);
  });

  it('a scarf begins from a cloth that is there: as wide as it is, and its veil in grams', () => {
    const cloth = { ...nuno.defaults, length: 2200, width: 400, as: 1, veil: 0.5 };
    const plan = laid(nuno, cloth, laying(0.35, 0.3));
    expect(plan.gauges.map(g => Number(g.laidMm))).toEqual([expect.closeTo(2200, 6), expect.closeTo(400, 6)]);
    expect(plan.gauges[1]?.wantedMm).toBeCloseTo(280, 6);
    expect(fact(plan, 'cloth, width cut')).toBeCloseTo(400, 6);
    // Half of 0.88 m² at 15 g/m².
    expect(fact(plan, 'wool for the veil')).toBeCloseTo(6.6, 6);
  });
});
