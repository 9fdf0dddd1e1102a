import { Point as RefPoint, Polygon as RefPolygon } from '@flatten-js/core';
import { booleanOpD, ClipType, FillRule } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { OFFSET_ARC_MM, OFFSET_DECIMALS } from '../tolerances';
import { foldOver, type MarkedOutline } from './foldOver';
import {
  areaOfParts,
  boundsOf,
  pathLength,
  type Point,
  type Polygon,
  polygonArea,
  scalePoints,
  signedArea,
} from './polygon';

const box = (w: number, h: number): Polygon => [
  { x: 0, y: 0 },
  { x: w, y: 0 },
  { x: w, y: h },
  { x: 0, y: h },
];
const closed = (points: Polygon): MarkedOutline => ({ points, open: points.map(() => false) });
const areaOf = (parts: readonly Polygon[]): number => parts.reduce((sum, p) => sum + polygonArea(p), 0);

/** Round corners are drawn inside their arcs: at most the arc tolerance is lost along the whole circle. */
const lostByArcs = (d: number): number => OFFSET_ARC_MM * 2 * Math.PI * d;

/** A star-shaped outline: always simple. */
const anyOutline = fc
  .array(fc.double({ min: 40, max: 300, noNaN: true }), { minLength: 4, maxLength: 24 })
  .map(radii =>
    radii.map((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length;
      return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
    }),
  );

describe('polygons', () => {
  it('areas agree with an independent geometry library', () => {
    fc.assert(
      fc.property(anyOutline, points => {
        const reference = new RefPolygon(points.map(p => new RefPoint(p.x, p.y)));
        expect(polygonArea(points)).toBeCloseTo(reference.area(), 4);
      }),
    );
  });

  it('turning the outline round changes the sign and nothing else', () => {
    expect(signedArea(box(30, 20))).toBe(600);
    expect(signedArea(box(30, 20).toReversed())).toBe(-600);
  });

  it('lengths, bounds and scaling are plain', () => {
    expect(
      pathLength([
        { x: 0, y: 0 },
        { x: 3, y: 4 },
        { x: 3, y: 10 },
      ]),
    ).toBe(11);
    expect(boundsOf(box(30, 20))).toEqual({ minX: 0, minY: 0, maxX: 30, maxY: 20 });
    expect(boundsOf([])).toEqual({ minX: 0, minY: 0, maxX: 0, maxY: 0 });
    expect(polygonArea(scalePoints(box(30, 20), { x: 2, y: 3 }))).toBe(3600);
  });
});

describe('fold-over', () => {
  // Steiner's formula: A + L·d + π·d² for a convex outline: 60 000 + 1000·20 + π·400.
  it('of 20 mm round a 300 × 200 rectangle gives 81 256.6 mm²', () => {
    const exact = 60_000 + 1000 * 20 + Math.PI * 400;
    expect(exact).toBeCloseTo(81_256.6, 1);
    const lost = exact - areaOf(foldOver(closed(box(300, 200)), 20));
    expect(lost).toBeGreaterThan(-0.01);
    expect(lost).toBeLessThan(lostByArcs(20));
  });

  it('follows Steiner’s formula for every rectangle and width', () => {
    const size = fc.double({ min: 20, max: 2000, noNaN: true });
    fc.assert(
      fc.property(size, size, fc.double({ min: 0.5, max: 60, noNaN: true }), (w, h, d) => {
        const exact = w * h + 2 * (w + h) * d + Math.PI * d * d;
        const rounding = (2 * (w + h + 8 * d)) / 10 ** OFFSET_DECIMALS;
        const lost = exact - areaOf(foldOver(closed(box(w, h)), d));
        expect(lost).toBeGreaterThan(-rounding);
        expect(lost).toBeLessThan(lostByArcs(d) + rounding);
      }),
      { numRuns: 60 },
    );
  });

  it('is the same whichever way the outline runs', () => {
    const there = areaOf(foldOver(closed(box(300, 200)), 15));
    expect(areaOf(foldOver(closed(box(300, 200).toReversed()), 15))).toBeCloseTo(there, 3);
  });

  it('lays no wool past the mouth', () => {
    const mouthRight = { points: box(300, 200), open: [false, true, false, false] };
    const wool = foldOver(mouthRight, 20);
    const bounds = boundsOf(wool.flat());
    expect(bounds.maxX).toBeCloseTo(300, 3);
    expect(bounds.minX).toBeCloseTo(-20, 1);
    // Three closed edges, two round corners: A + (2·300 + 200)·20 + 2·(π·20²/4).
    expect(areaOf(wool)).toBeCloseTo(60_000 + 800 * 20 + (2 * Math.PI * 400) / 4, -1);
  });

  it('of nothing leaves the outline as it is', () => {
    expect(foldOver(closed(box(30, 20)), 0)).toEqual([box(30, 20)]);
  });

  it('never makes the wool smaller than the resist', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 1, max: 30, noNaN: true }), fc.nat(), (points, d, mouth) => {
        const outline = { points, open: points.map((_, i) => i === mouth % points.length) };
        expect(areaOf(foldOver(outline, d))).toBeGreaterThan(polygonArea(points) * 0.999);
      }),
      { numRuns: 60 },
    );
  });

  /** How far a point is from a line between two others, by plain geometry. */
  const away = (p: Point, a: Point, b: Point): number => {
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const t = Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
  };
  const isIn = (p: Point, polygon: Polygon): boolean =>
    polygon.reduce((inside, a, i) => {
      const b = polygon[(i + 1) % polygon.length] ?? a;
      const isCrossed = a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x);
      return isCrossed ? !inside : inside;
    }, false);
  /** The area of all places that a rule holds for, counted on a grid, mm². */
  const counted = (polygon: Polygon, reach: number, isWool: (p: Point) => boolean, step = 0.5): number => {
    const b = boundsOf(polygon);
    let count = 0;
    for (let x = b.minX - reach + step / 2; x < b.maxX + reach; x += step)
      for (let y = b.minY - reach + step / 2; y < b.maxY + reach; y += step) if (isWool({ x, y })) count += 1;
    return count * step * step;
  };

  it('takes off what stays free inside: a C whose wool meets across its gap', () => {
    const turn = (radius: number, from: number, to: number): Point[] =>
      Array.from({ length: 61 }, (_, i) => {
        const angle = from + ((to - from) * i) / 60;
        return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
      });
    const gap = 0.13;
    const c = [...turn(150, gap, 2 * Math.PI - gap), ...turn(90, 2 * Math.PI - gap, gap)];
    const wool = foldOver(closed(c), 20);
    const expected = counted(
      c,
      21,
      p => isIn(p, c) || c.some((a, i) => away(p, a, c[(i + 1) % c.length] ?? a) <= 20),
      1,
    );
    expect(wool.length).toBe(2);
    expect(areaOfParts(wool) / expected).toBeCloseTo(1, 3);
  });

  it('ends the wool at a mouth and takes none from the leg beside it', () => {
    const legs = [
      [-100, -80],
      [150, -80],
      [150, -20],
      [0, -20],
      [0, 0],
      [200, 0],
      [200, 60],
      [-100, 60],
    ].map(([x = 0, y = 0]) => ({ x, y }));
    const open = [false, true, false, false, false, true, false, false];
    /** Up to where the wool of an edge reaches: its own leg's mouth. */
    const mouthOf = [150, 150, 150, 1e9, 200, 200, 200, 1e9];
    const wool = foldOver({ points: legs, open }, 15);
    const expected = counted(
      legs,
      16,
      p =>
        isIn(p, legs) ||
        legs.some(
          (a, i) =>
            !open[i] && p.x <= (mouthOf[i] ?? 0) && away(p, a, legs[(i + 1) % legs.length] ?? a) <= 15,
        ),
    );
    expect(areaOfParts(wool) / expected).toBeCloseTo(1, 3);
    const lost = booleanOpD(
      ClipType.Difference,
      [legs],
      wool.map(w => [...w]),
      FillRule.NonZero,
      4,
    );
    expect(areaOf(lost)).toBeLessThan(1);
  });
});
