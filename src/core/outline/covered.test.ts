import { EndType, inflatePathsD, JoinType, booleanOpD, ClipType, FillRule } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coveredBy } from './covered';
import { areaOfParts, type Point, polygonArea, signedArea } from './polygon';
import { rawOffset } from './rawOffset';

const box = (x: number, y: number, { w, h }: { w: number; h: number }): Point[] => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];

/** Star-shaped outlines, smooth, jagged or rippled finer than any offset of them: always simple. */
const anyOutline = fc
  .record({
    radii: fc.array(fc.double({ min: 40, max: 300, noNaN: true }), { minLength: 4, maxLength: 60 }),
    depth: fc.double({ min: 0, max: 1, noNaN: true }),
    flat: fc.double({ min: 0.3, max: 1, noNaN: true }),
  })
  .map(({ radii, depth, flat }) =>
    radii.map((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length + 0.1;
      const at = 150 + depth * (r - 150);
      return { x: at * Math.cos(angle), y: flat * at * Math.sin(angle) };
    }),
  );

/** The polygon library keeps a ten-thousandth of a millimetre along each edge. */
const LIBRARY_DECIMALS = 4;

describe('what outlines cover', () => {
  it('of two boxes that overlap is their union, with the corner points where they cross', () => {
    const rims = coveredBy([box(0, 0, { w: 30, h: 20 }), box(20, 10, { w: 30, h: 20 })]);
    expect(rims).toHaveLength(1);
    expect(areaOfParts(rims ?? [])).toBeCloseTo(600 + 600 - 100, 9);
    expect(rims?.[0]).toHaveLength(8);
  });

  it('is less what a clockwise outline takes away, through its middle as a hole as well', () => {
    const whole = box(0, 0, { w: 100, h: 100 });
    const bite = coveredBy([whole, box(90, 40, { w: 30, h: 20 }).toReversed()]);
    expect(areaOfParts(bite ?? [])).toBeCloseTo(10_000 - 200, 9);
    const holed = coveredBy([whole, box(40, 40, { w: 20, h: 20 }).toReversed()]);
    expect(holed?.map(signedArea)).toEqual([10_000, -400]);
  });

  it('of a ring that closes has a hole, and none once it is grown shut', () => {
    // A ring with a gap of 10 mm, open to the right.
    const c: Point[] = [];
    for (let i = 0; i <= 60; i += 1) {
      const angle = 0.06 + ((2 * Math.PI - 0.12) * i) / 60;
      c.push({ x: 100 * Math.cos(angle), y: 100 * Math.sin(angle) });
    }
    const inner = c.map(p => ({ x: 0.6 * p.x, y: 0.6 * p.y })).toReversed();
    const ring = [...c, ...inner];
    expect(coveredBy([rawOffset(ring, 3, 0.01)])).toHaveLength(1);
    const closed = coveredBy([rawOffset(ring, 10, 0.01)]);
    expect(closed).toHaveLength(2);
    expect(Math.sqrt(polygonArea(closed?.[1] ?? []) / Math.PI)).toBeCloseTo(50, 0);
    expect(coveredBy([rawOffset(ring, 61, 0.01)])).toHaveLength(1);
  });

  it('has no answer where edges only touch, or a place is no number', () => {
    expect(coveredBy([box(0, 0, { w: 10, h: 10 }), box(10, 0, { w: 10, h: 10 })])).toBeNull();
    expect(coveredBy([[...box(0, 0, { w: 10, h: 10 }), { x: Number.NaN, y: 3 }]])).toBeNull();
  });

  it('agrees with the polygon library on every offset, holes and all', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 1, max: 60, noNaN: true }), (outline, width) => {
        const rims = coveredBy([rawOffset(outline, width, 0.01)]);
        const reference = inflatePathsD(
          [outline],
          width,
          JoinType.Round,
          EndType.Polygon,
          2,
          LIBRARY_DECIMALS,
          0.01,
        );
        if (!rims) return;
        expect(Math.abs(areaOfParts(rims) / areaOfParts(reference) - 1)).toBeLessThan(1e-4);
        expect(rims).toHaveLength(reference.filter(r => polygonArea(r) > 0.01).length);
      }),
      { numRuns: 300 },
    );
  });

  it('agrees with the polygon library on what one outline leaves of another', () => {
    fc.assert(
      fc.property(anyOutline, anyOutline, fc.integer({ min: -200, max: 200 }), (one, other, by) => {
        const cut = other.map(p => ({ x: p.x + by, y: p.y })).toReversed();
        const rims = coveredBy([one, cut]);
        const reference = booleanOpD(
          ClipType.Difference,
          [one],
          [cut.toReversed()],
          FillRule.NonZero,
          LIBRARY_DECIMALS,
        );
        // Where edges happen to touch there is no answer, and nothing to compare.
        const area = rims ? areaOfParts(rims) : areaOfParts(reference);
        expect(area).toBeCloseTo(areaOfParts(reference), 0);
      }),
      { numRuns: 300 },
    );
  });

  it('is found for nearly every outline a hand draws: the library stands in for the few that touch', () => {
    const found = fc
      .sample(fc.tuple(anyOutline, fc.double({ min: 1, max: 60, noNaN: true })), { numRuns: 400, seed: 7 })
      .map(([outline, width]) => coveredBy([rawOffset(outline, width, 0.05)]) !== null);
    expect(found.filter(Boolean).length).toBeGreaterThan(380);
  });
});
