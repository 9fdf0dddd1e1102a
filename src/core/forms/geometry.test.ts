import { describe, expect, it } from 'vitest';
import type { Point } from '../outline/polygon';
import type { FormKind } from './formKind';
import { insideMeasures } from './insideMeasures';
import { bellHat } from './kinds/bellHat';
import { beret } from './kinds/beret';
import { cone } from './kinds/cone';
import { drop } from './kinds/drop';
import { egg } from './kinds/egg';
import { flapPocket } from './kinds/flapPocket';
import { pod } from './kinds/pod';
import { spheroidArea } from './spheroidArea';
import { fact, laid, laying, netMm2 } from './testing/laying';

/** Length of an ellipse, summed along its own equation; no formula of the trade. */
const roundEllipse = (long: number, wide: number, n = 200_000): number => {
  const at = (i: number): Point => ({
    x: (long / 2) * Math.cos((2 * Math.PI * i) / n),
    y: (wide / 2) * Math.sin((2 * Math.PI * i) / n),
  });
  return Array.from({ length: n }, (_, i) => {
    const [a, b] = [at(i), at(i + 1)];
    return Math.hypot(a.x - b.x, a.y - b.y);
  }).reduce((sum, length) => sum + length, 0);
};

describe('where the two directions shrink differently', () => {
  it.each([
    [0.35, 0.25],
    [0.25, 0.35],
    [0.3, 0.3],
  ])('a pod at %f round and %f over the poles is laid with both girths', (along, across) => {
    const plan = laid(pod, { girth: 420, over: 460 }, laying(along, across));
    const [wide, poles] = [fact(plan, 'ball, width'), fact(plan, 'ball, pole to pole')];
    expect(Math.PI * wide).toBeCloseTo(420 / (1 - along), 6);
    expect(roundEllipse(wide, poles) / (460 / (1 - across))).toBeCloseTo(1, 4);
    expect(plan.trouble).toBeNull();
  });

  it('a pod that would be flatter than a coin as it is laid is told', () => {
    expect(laid(pod, { girth: 600, over: 410 }, laying(0.4, 0.2)).trouble).toBe('BALL_TOO_FLAT');
  });

  it('a beret’s hole is laid as an oval, and its girth is that of the oval', () => {
    const plan = laid(beret, { head: 560, give: 0.1 }, laying(0.08, 0.59));
    const hole = (560 * 0.9) / Math.PI;
    expect(fact(plan, 'hole girth as laid') / roundEllipse(hole / 0.92, hole / 0.41)).toBeCloseTo(1, 3);
  });
});

describe('a wall measured over', () => {
  it('a cone loses t/sin α of its height and twice t/cos α of its base: its wall is t thick all over', () => {
    const [base, height, t] = [120, 200, 5];
    const inside = insideMeasures(cone, { base, height }, t);
    // How far the inside slant lies from the outside one: both through their tips, the outside tip at 0.
    const tip = height - (inside['height'] ?? 0);
    const foot = { x: (inside['base'] ?? 0) / 2, y: height };
    const slant = Math.hypot(base / 2, height);
    const away = (x: number, y: number): number => Math.abs((y * base) / 2 - x * height) / slant;
    expect(away(0, tip)).toBeCloseTo(t, 9);
    expect(away(foot.x, foot.y)).toBeCloseTo(t, 9);
  });
});

describe('the crown of a bell hat', () => {
  it('is half of an ellipsoid: its felt is that surface, and its wall as long as drawn', () => {
    const measures = { head: 570, depth: 250, brim: 70, brimGirth: 760, ease: 10 };
    const plan = laid(bellHat, measures, laying(0, 0));
    const radius = 580 / (2 * Math.PI);
    const profile = plan.turned?.profile ?? [];
    const crown = profile.slice(0, profile.findIndex(p => p.r > radius - 1e-6) + 1);
    const height = crown.at(-1)?.z ?? Number.NaN;
    const area = crown.slice(1).reduce((sum, p, i) => {
      const q = crown[i] ?? p;
      return sum + Math.PI * (p.r + q.r) * Math.hypot(p.z - q.z, p.r - q.r);
    }, 0);
    expect(area / (spheroidArea(2 * radius, 2 * height) / 2)).toBeCloseTo(1, 2);
    for (const { r, z } of crown) expect((r / radius) ** 2 + (1 - z / height) ** 2).toBeCloseTo(1, 2);
    expect(roundEllipse(2 * radius, 2 * height) / 4 / (250 * 0.68)).toBeCloseTo(1, 2);
  });
});

describe('made for a metal cap', () => {
  it.each([
    ['a drop', drop, 5],
    ['an egg', egg, 5],
  ] as const)('%s made larger than its cap holds what one of that size holds', (_, kind, over) => {
    const volume = (m: Record<string, number>) =>
      laid(kind, m, laying(0.3, 0.3)).solid?.feltMm3 ?? Number.NaN;
    const larger = volume({ length: 60, width: 30, over });
    expect(larger / volume({ length: 60 + over, width: 30 + over })).toBeCloseTo(1, 9);
    expect(larger).toBeGreaterThan(1.3 * volume({ length: 60, width: 30 }));
  });
});

describe('an edge that is folded in', () => {
  const sums = (kind: FormKind, measures: Record<string, number>) => {
    const plan = laid(kind, measures, laying(0.4, 0.25));
    return { plan, net: netMm2(plan), lines: plan.gauges.map(g => [g.laidMm, g.wantedMm]) };
  };

  it('at the hem of a cone: a strip as wide as the laid mouth on each side, and nothing measured on it', () => {
    const [without, hemmed] = [sums(cone, cone.defaults), sums(cone, { ...cone.defaults, hem: 20 })];
    // The mouth of a cone 120 mm across: half its girth, laid at 25 %.
    const mouth = (Math.PI * 120) / 2 / 0.75;
    expect(hemmed.net - without.net).toBeCloseTo(2 * 20 * mouth, 4);
    expect(hemmed.lines).toEqual(without.lines);
    expect(hemmed.plan.finishedMm2).toBe(without.plan.finishedMm2);
    expect(hemmed.plan.folds).toHaveLength(1);
  });

  it('round a square flap: its three sides, as laid', () => {
    const square = { ...flapPocket.defaults, flapCorner: 0 };
    const [without, folded] = [sums(flapPocket, square), sums(flapPocket, { ...square, hem: 10 })];
    const [deep, wide] = [100 / 0.6, 200 / 0.75];
    expect(folded.net - without.net).toBeCloseTo(10 * (wide + 20) + 2 * 10 * deep, 4);
    expect(folded.lines).toEqual(without.lines);
    expect(folded.plan.finishedMm2).toBe(without.plan.finishedMm2);
  });
});
