import { wayToLay } from './waysToLay';
import { describe, expect, it } from 'vitest';
import { box, ellipse } from '../outline/shapes';
import { polygonArea } from '../outline/polygon';
import { evenness, type Evenness } from './evenness';
import { footprint, footprintSquared, type Hand, scattered, USUAL_HAND } from './hand';
import type { Field } from './field';
import { layOut } from './layOut';
import { normal, seeded } from '../numeric/random';

const EQUAL: Hand = { ...USUAL_HAND, unequal: 0 };
const SQUARE = box(1000, 1000);
const layers = (n: number, grams: number) =>
  Array.from({ length: n }, (_, i) => ({ grams: grams / n, directionDeg: i % 2 === 0 ? 0 : 90 }));
const total = (field: Field): number =>
  (field.gsm.reduce((a, b) => a + b, 0) * field.cellMm * field.cellMm) / 1e6;
/** Cells at least a wisp's length from the edge of the metre square. */
const middle = (field: Field): number[] =>
  [...field.gsm].filter((_, cell) => {
    const x = field.left + ((cell % field.columns) + 0.5) * field.cellMm;
    const y = field.top + (Math.floor(cell / field.columns) + 0.5) * field.cellMm;
    return Math.abs(x) < 380 && Math.abs(y) < 380;
  });
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

describe('chance', () => {
  it('is the same for the same seed, even, and normal', () => {
    const [a, b] = [seeded(7), seeded(7)];
    expect(Array.from({ length: 5 }, a)).toEqual(Array.from({ length: 5 }, b));
    const random = seeded(1);
    const even = Array.from({ length: 20_000 }, random);
    expect(mean(even)).toBeCloseTo(0.5, 1);
    expect(Math.min(...even)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...even)).toBeLessThan(1);
    const deviates = Array.from({ length: 20_000 }, () => normal(random));
    expect(Math.abs(mean(deviates))).toBeLessThan(0.03);
    expect(mean(deviates.map(d => d * d))).toBeGreaterThan(0.96);
    expect(mean(deviates.map(d => d * d))).toBeLessThan(1.04);
  });
});

describe('a wisp', () => {
  it('weighs one whole, and ∫φ² is as by sums over a fine grid', () => {
    for (const taper of [0, 0.4, 1]) {
      const hand = { ...EQUAL, taper };
      let [once, squared] = [0, 0];
      for (let x = -50; x < 50; x += 0.25)
        for (let y = -20; y < 20; y += 0.25) {
          const f = footprint(hand, x + 0.125, y + 0.125);
          once += f / 16;
          squared += (f * f) / 16;
        }
      expect(once).toBeCloseTo(1, 3);
      expect(squared / footprintSquared(hand)).toBeCloseTo(1, 2);
    }
  });
});

describe('a layout', () => {
  it('far from the edges has Campbell’s mean and variance, within the Monte Carlo error', () => {
    const runs = Array.from({ length: 24 }, (_, i) =>
      middle(layOut({ rings: [SQUARE], layers: layers(1, 100), hand: EQUAL, random: seeded(100 + i) })),
    );
    const wanted = scattered(EQUAL, 100);
    const [means, variances] = [
      runs.map(mean),
      runs.map(cells => mean(cells.map(v => (v - wanted.mean) ** 2))),
    ];
    const error = (values: readonly number[]): number =>
      Math.sqrt(mean(values.map(v => (v - mean(values)) ** 2)) / (values.length - 1));
    expect(Math.abs(mean(means) - wanted.mean)).toBeLessThan(3 * error(means));
    // Cells of 5 mm blur what they cover by a few parts in a hundred.
    expect(Math.abs(mean(variances) / wanted.variance - 1)).toBeLessThan(
      0.03 + (3 * error(variances)) / wanted.variance,
    );
  });

  it('loses no wool: what is laid is on the grid, over the edge or within it', () => {
    const field = layOut({ rings: [SQUARE], layers: layers(4, 320), hand: EQUAL, random: seeded(3) });
    expect(total(field)).toBeGreaterThan(319.5);
    expect(total(field)).toBeLessThan(320.5);
  });

  it('knows inside from outside, holes too', () => {
    const ring = [ellipse(600, 600), ellipse(200, 200)];
    const field = layOut({ rings: ring, layers: [], hand: EQUAL, random: seeded(1) });
    const area = field.inside.reduce((a, b) => a + b, 0) * field.cellMm ** 2;
    const [outer, inner] = ring.map(polygonArea);
    expect(area / ((outer ?? 0) - (inner ?? 0))).toBeCloseTo(1, 2);
  });

  it('is the same for the same seed, and another for another', () => {
    const of = (seed: number) =>
      layOut({ rings: [SQUARE], layers: layers(2, 60), hand: USUAL_HAND, random: seeded(seed) }).gsm;
    expect(of(5)).toEqual(of(5));
    expect(of(5)).not.toEqual(of(6));
  });

  it('of nothing is nothing', () => {
    expect(total(layOut({ rings: [SQUARE], layers: [], hand: EQUAL, random: seeded(1) }))).toBe(0);
    const none = layOut({
      rings: [box(1, 1)],
      layers: layers(1, 5),
      hand: EQUAL,
      random: seeded(1),
      cellMm: 50,
    });
    expect(evenness(none, 100).mean).toBeGreaterThanOrEqual(0);
  });
});

describe('evenness', () => {
  const of = (hand: Hand, n: number, seed = 11): Evenness =>
    evenness(layOut({ rings: [SQUARE], layers: layers(n, 200), hand, random: seeded(seed) }), 200);

  it('at the same grams, eight thin layers of finer wisps are more even than four thick ones (common practice)', () => {
    const thick = of(USUAL_HAND, 4);
    const thin = of({ ...USUAL_HAND, grams: USUAL_HAND.grams / 2 }, 8);
    expect(thin.variation).toBeLessThan(0.85 * thick.variation);
    expect(thin.thinShare).toBeLessThan(thick.thinShare);
  });

  it('edges are thinnest (common practice)', () => {
    const { edgeShare, mean: all } = of(USUAL_HAND, 4);
    expect(edgeShare).toBeLessThan(0.9);
    expect(edgeShare).toBeGreaterThan(0.4);
    expect(all).toBeLessThan(200);
  });

  it('few thick wisps leave holes, and many do not', () => {
    const few = of({ ...USUAL_HAND, grams: 0.3 }, 1).holes;
    expect(few).toBeGreaterThan(20);
    // What is left of them are corners and edges.
    expect(of({ ...USUAL_HAND, grams: 0.05 }, 6).holes).toBeLessThan(few / 2);
  });

  it('patches that touch are one hole', () => {
    const field = layOut({ rings: [box(300, 300)], layers: [], hand: EQUAL, random: seeded(1) });
    expect(evenness(field, 100)).toMatchObject({ holes: 1, thinShare: 1, variation: 0 });
  });

  it('a square metre of 100 000 wisps takes under 2 s, and four times the wisps about four times as long', () => {
    const time = (wisps: number): number => {
      const before = performance.now();
      layOut({
        rings: [SQUARE],
        layers: layers(4, wisps * 0.002),
        hand: { ...EQUAL, grams: 0.002 },
        random: seeded(2),
      });
      return performance.now() - before;
    };
    time(5000);
    // The least of three: what else the machine does falls on one or another.
    const least = (wisps: number): number => Math.min(time(wisps), time(wisps), time(wisps));
    /** Twenty million square roots, which took 40 ms where this was measured: how quick the machine is now. */
    const plain = (): number => {
      const before = performance.now();
      let sum = 0;
      for (let i = 1; i < 2e7; i += 1) sum += Math.sqrt(i);
      return sum > 0 ? performance.now() - before : Number.NaN;
    };
    const [quarter, whole] = [least(25_000), least(100_000)];
    const quickness = Math.min(plain(), plain(), plain()) / 40;
    expect(whole / Math.max(1, quickness)).toBeLessThan(2000);
    // By the square it would be 16 times as long.
    expect(whole / quarter).toBeLessThan(8);
  });
});

describe('another way to lay the same wool', () => {
  it('in twice the layers has wisps half as heavy, so many to a layer as before, and is more even', () => {
    const of = { grams: 40, planned: 3, hand: USUAL_HAND, directionOf: () => 0 as const };
    const [plan, fine] = [3, 6].map(n => wayToLay({ ...of, layers: n }));
    expect(fine?.layers.reduce((sum, l) => sum + l.grams, 0)).toBeCloseTo(40, 12);
    expect((plan?.layers[0]?.grams ?? 0) / (plan?.hand.grams ?? 1)).toBeCloseTo(
      (fine?.layers[0]?.grams ?? 0) / (fine?.hand.grams ?? 1),
      12,
    );
    expect(plan?.hand).toEqual(USUAL_HAND);
  });
});
