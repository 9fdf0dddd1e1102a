import { describe, expect, it } from 'vitest';
import { box } from '../outline/shapes';
import { USUAL_HAND } from './hand';
import type { Field } from './field';
import { layOut } from './layOut';
import { seeded } from '../numeric/random';
import { pitchOf, type Rows, shingledVariation, shingleFootprint, TIDINESS } from './shingle';
import { quickest } from '../numeric/testing/quickest';
import { tries } from '../numeric/testing/tries';

// The layer of a cosy: 200 wisps of 0.15 g on 40 × 45 cm, in rows 6 cm apart, a wisp every 1.5 cm.
const GSM = 30 / (0.4 * 0.45);
const LAYER = { overlap: 0.4, arealGsm: GSM, patchMm: 10 } as const;
const EQUAL = { ...USUAL_HAND, unequal: 0 };
const inRows = (more: Partial<Rows> = {}): Rows => ({
  overlap: 0.4,
  jitter: TIDINESS.tidy,
  sameEdge: false,
  reachMm: 0,
  ...more,
});
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** Patches of 1 cm² of the middle of a field, which hands at the edges do not reach. */
const patchesOf = (field: Field, halfWide: number, halfHigh: number): readonly number[] => {
  const { cellMm, columns, rows, left, top, gsm } = field;
  const patches: number[] = [];
  for (let r = 0; r + 2 <= rows; r += 2)
    for (let c = 0; c + 2 <= columns; c += 2) {
      const [x, y] = [left + (c + 1) * cellMm, top + (r + 1) * cellMm];
      if (Math.abs(x) > halfWide || Math.abs(y) > halfHigh) continue;
      const cells = [0, 1, columns, columns + 1].map(step => gsm[r * columns + c + step] ?? 0);
      patches.push(mean(cells));
    }
  return patches;
};
const variationOf = (fields: readonly Field[], halfWide: number, halfHigh: number): number => {
  const all = fields.map(f => patchesOf(f, halfWide, halfHigh));
  const middle = mean(all.flat());
  return Math.sqrt(mean(all.flat().map(v => (v - middle) ** 2))) / middle;
};

describe('wool laid in rows like tiles', () => {
  it('a wisp weighs one whole, and is thickest near its root', () => {
    let whole = 0;
    for (let s = -50; s < 50; s += 0.5)
      for (let v = -20; v < 20; v += 0.5) whole += shingleFootprint(USUAL_HAND, s + 0.25, v + 0.25) / 4;
    expect(whole).toBeCloseTo(1, 3);
    expect(shingleFootprint(USUAL_HAND, -40, 0)).toBeGreaterThan(5 * shingleFootprint(USUAL_HAND, 48, 0));
    expect(pitchOf(USUAL_HAND, LAYER, GSM)).toEqual({ rowMm: 60, wispMm: expect.closeTo(15, 9) });
  });

  // Figures worked out apart from this code, for the same layer: from lattices without jitter to wisps at random.
  it.each([
    [{ placeMm: 2, turnDeg: 4 }, 0.324],
    [{ placeMm: 6, turnDeg: 12 }, 0.38],
    [{ placeMm: 15, turnDeg: 15 }, 0.446],
    [{ placeMm: 60, turnDeg: 30 }, 0.551],
    [null, 0.567],
  ])('its unevenness in closed form, jitter %j: %f', (jitter, wanted) => {
    expect(shingledVariation(USUAL_HAND, { ...LAYER, jitter })).toBeCloseTo(wanted, 3);
  });

  it('without jitter and with wisps alike it is the ridges of the rows alone', () => {
    const jitter = { placeMm: 0, turnDeg: 0 };
    expect(shingledVariation(EQUAL, { ...LAYER, jitter })).toBeCloseTo(0.281, 3);
    // Rows closer together have lower ridges.
    expect(shingledVariation(EQUAL, { ...LAYER, overlap: 0.6, jitter })).toBeLessThan(0.281);
  });

  it('what is simulated is what the closed form says, within 6 %, and its mean within half a per cent', () => {
    // Many whole pitches in the middle of a large sheet, rows beginning anywhere: a torus but for chance.
    const square = box(640, 640);
    for (const jitter of [TIDINESS['very-tidy'], TIDINESS.tidy, TIDINESS.hasty]) {
      const fields = Array.from({ length: tries(5, 30) }, (_, i) =>
        layOut({
          rings: [square],
          layers: [{ grams: GSM * 0.4096, directionDeg: 0 }],
          hand: USUAL_HAND,
          rows: inRows({ jitter, reachMm: 100 }),
          random: seeded(900 + i),
        }),
      );
      const closed = shingledVariation(USUAL_HAND, { ...LAYER, jitter });
      expect(Math.abs(variationOf(fields, 180, 180) / closed - 1)).toBeLessThan(0.06);
    }
  });

  it('no wool is lost, whatever the outline and however far it reaches over', () => {
    for (const reachMm of [0, 10, 25]) {
      const field = layOut({
        rings: [box(400, 450)],
        layers: [
          { grams: 30, directionDeg: 0 },
          { grams: 30, directionDeg: 30 },
        ],
        hand: USUAL_HAND,
        rows: inRows({ reachMm, jitter: TIDINESS.hasty }),
        random: seeded(4),
      });
      const total = (field.gsm.reduce((a, b) => a + b, 0) * field.cellMm ** 2) / 1e6;
      expect(Math.abs(total / 60 - 1)).toBeLessThan(0.005);
    }
  });

  const cosy = (of: { layers: number; rows: Rows | null; seeds?: number; oneWay?: boolean }) =>
    Array.from({ length: of.seeds ?? tries(4, 24) }, (_, i) =>
      layOut({
        rings: [box(400, 450)],
        layers: Array.from({ length: of.layers }, (__, k) => ({
          grams: 120 / of.layers,
          directionDeg: of.oneWay ? 0 : (k % 2) * 90,
        })),
        hand: USUAL_HAND,
        rows: of.rows,
        random: seeded(300 + i),
      }),
    );
  const unevenness = (of: Parameters<typeof cosy>[0]): number => variationOf(cosy(of), 90, 110);

  it('120 g on 40 × 45 cm: more layers are more even with the same wisps, tidy 1.4 times as even as chance', () => {
    const [one, two, four, eight] = [1, 2, 4, 8].map(layers => unevenness({ layers, rows: inRows() }));
    // Simulated apart from this code: .269, .218, .187, .168.
    expect(one).toBeCloseTo(0.269, 1);
    expect(Math.abs((two ?? 0) / 0.218 - 1)).toBeLessThan(0.1);
    expect(Math.abs((four ?? 0) / 0.187 - 1)).toBeLessThan(0.1);
    expect(Math.abs((eight ?? 0) / 0.168 - 1)).toBeLessThan(0.1);
    const chance = shingledVariation(USUAL_HAND, { ...LAYER, arealGsm: 4 * GSM, jitter: null });
    expect(chance / (four ?? 1)).toBeGreaterThan(1.4);
  });

  it('rows that all begin at one edge add their ridges; crossing halves that', () => {
    const same = { layers: 4, rows: inRows({ sameEdge: true }) };
    const [oneWay, crossed, free] = [
      unevenness({ ...same, oneWay: true }),
      unevenness(same),
      unevenness({ layers: 4, rows: inRows() }),
    ];
    // Simulated apart from this code: .269, .219, .187.
    expect(Math.abs(oneWay / 0.269 - 1)).toBeLessThan(0.1);
    expect(Math.abs(crossed / 0.219 - 1)).toBeLessThan(0.1);
    expect(free).toBeLessThan(crossed);
  });

  it.each([
    [0, 0.29],
    [10, 0.59],
    [17.5, 0.74],
    [25, 0.83],
  ])(
    'the outermost centimetre, rows reaching %f mm over the outline, has %f of the plan',
    (reachMm, wanted) => {
      const shares = cosy({ layers: 4, rows: inRows({ reachMm }), seeds: tries(6, 12) }).map(field => {
        const { columns, left, top, cellMm, gsm, inside } = field;
        const outer: number[] = [];
        inside.forEach((isIn, cell) => {
          const [x, y] = [
            left + ((cell % columns) + 0.5) * cellMm,
            top + (Math.floor(cell / columns) + 0.5) * cellMm,
          ];
          if (isIn === 1 && (Math.abs(x) > 190 || Math.abs(y) > 215)) outer.push(gsm[cell] ?? 0);
        });
        return mean(outer) / (4 * GSM);
      });
      expect(Math.abs(mean(shares) - wanted)).toBeLessThan(0.1);
    },
  );

  it('a layer that is laid every way is scattered, rows or none', () => {
    const still = inRows({ jitter: { placeMm: 0, turnDeg: 0 } });
    const scattered = (rows: Rows | null): Float32Array => {
      const layers = [{ grams: 10, directionDeg: 'random' as const }];
      return layOut({ rings: [box(300, 300)], layers, hand: USUAL_HAND, rows, random: seeded(8) }).gsm;
    };
    expect(scattered(still)).toEqual(scattered(null));
  });

  it('100 000 wisps in rows take about a second', () => {
    const lay = () =>
      layOut({
        rings: [box(1000, 1000)],
        layers: Array.from({ length: 4 }, () => ({ grams: 50, directionDeg: 0 })),
        hand: { ...USUAL_HAND, grams: 0.002 },
        rows: inRows(),
        random: seeded(2),
      });
    // A busy machine of two cores takes three times as long as a quiet one.
    expect(quickest(lay, 2)).toBeLessThan(4000);
  });
});
