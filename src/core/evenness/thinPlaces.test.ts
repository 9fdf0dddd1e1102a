import { describe, expect, it } from 'vitest';
import { seeded } from '../numeric/random';
import { box } from '../outline/shapes';
import { evenness } from './evenness';
import type { Field } from './field';
import { USUAL_HAND } from './hand';
import { layOut } from './layOut';
import { thinPlaces } from './thinPlaces';

const LOOK = { shouldGsm: 100, under: 0.5, rimMm: 10, leastMm: 11, smoothMm: 5 } as const;

/** A field of 100 by 60 cells of 5 mm, even but for what a function says. */
const fieldOf = (gsm: (xMm: number, yMm: number) => number): Field => {
  const [columns, rows, cellMm] = [100, 60, 5];
  return {
    columns,
    rows,
    cellMm,
    left: -250,
    top: -150,
    gsm: Float32Array.from({ length: columns * rows }, (_, i) =>
      gsm(-250 + ((i % columns) + 0.5) * cellMm, -150 + (Math.floor(i / columns) + 0.5) * cellMm),
    ),
    inside: new Uint8Array(columns * rows).fill(1),
  };
};

describe('thin places', () => {
  it('are found where they are, as wide as they are, thinnest first', () => {
    const found = thinPlaces(
      fieldOf((x, y) => (Math.hypot(x - 60, y + 20) < 20 ? 30 : Math.hypot(x + 100, y) < 15 ? 40 : 100)),
      LOOK,
    );
    expect(found).toHaveLength(2);
    expect(found[0]?.at.x).toBeCloseTo(60, 0);
    expect(found[0]?.at.y).toBeCloseTo(-20, 0);
    expect(found[0]?.share).toBeCloseTo(0.3, 2);
    // An edge is told to a cell on either side.
    expect(Math.abs((found[0]?.acrossMm ?? 0) - 40)).toBeLessThan(10);
    expect(found[1]?.share).toBeCloseTo(0.4, 2);
  });

  it('none in an even field, none at its rim, none smaller than can be seen', () => {
    expect(
      thinPlaces(
        fieldOf(() => 100),
        LOOK,
      ),
    ).toEqual([]);
    expect(
      thinPlaces(
        fieldOf(x => (x < -240 ? 10 : 100)),
        LOOK,
      ),
    ).toEqual([]);
    expect(
      thinPlaces(
        fieldOf((x, y) => (Math.hypot(x, y) < 4 ? 0 : 100)),
        LOOK,
      ),
    ).toEqual([]);
  });

  it('a hasty scattering has some, and about the share of it that its patches have', () => {
    const rings = [box(600, 600)];
    const layers = [{ grams: 14, directionDeg: 'random' as const }];
    const field = layOut({ rings, layers, hand: USUAL_HAND, random: seeded(4) });
    const shouldGsm = 14 / 0.36;
    const found = thinPlaces(field, { ...LOOK, shouldGsm, leastMm: 0, smoothMm: 0 });
    const area = found.reduce((sum, p) => sum + Math.PI * (p.acrossMm / 2) ** 2, 0);
    const { thinShare } = evenness(field, shouldGsm);
    expect(found.length).toBeGreaterThan(3);
    // Cells are finer than patches of 1 cm², and so a little less even.
    expect(area / 580 ** 2).toBeGreaterThan(0.8 * thinShare);
    expect(area / 580 ** 2).toBeLessThan(1.5 * thinShare);
  });
});
