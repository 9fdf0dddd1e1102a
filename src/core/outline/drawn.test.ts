import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanOutline } from './cleanOutline';
import { selfCrossing } from './crossing';
import { curvedOutline } from './curve';
import type { DrawnOutline } from './drawn';
import {
  addPointAfter,
  movePoint,
  outlineOf,
  removePoint,
  setMirrored,
  toggleOpen,
  toggleRound,
} from './edit';
import { boundsOf, type Polygon, polygonArea } from './polygon';
import { box, ellipse } from './shapes';
import { simplify } from './simplify';
import { quickest } from '../numeric/testing/quickest';

const area = (drawn: DrawnOutline): number => polygonArea(curvedOutline(drawn).points);
const openLength = (drawn: DrawnOutline): number => {
  const { points, open } = curvedOutline(drawn);
  return points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length];
    return open[i] && b ? sum + Math.hypot(b.x - a.x, b.y - a.y) : sum;
  }, 0);
};
const star = fc
  .array(fc.double({ min: 40, max: 200, noNaN: true }), { minLength: 5, maxLength: 30 })
  .map(radii =>
    radii.map((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length;
      return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
    }),
  );

describe('curves of a drawn outline', () => {
  it.each([4, 6, 12])('%i round points on a circle draw that circle', n => {
    const circle: DrawnOutline = {
      points: Array.from({ length: n }, (_, i) => {
        const angle = (2 * Math.PI * i) / n;
        return { x: 100 * Math.cos(angle), y: 100 * Math.sin(angle), round: true };
      }),
      open: [],
      mirrored: false,
    };
    for (const p of curvedOutline(circle).points) expect(Math.hypot(p.x, p.y)).toBeCloseTo(100, 0);
    expect(area(circle) / (Math.PI * 1e4)).toBeCloseTo(1, 2);
  });

  it('corners are joined straight, and every point lies on the outline', () => {
    expect(curvedOutline(outlineOf(box(30, 20))).points).toEqual(box(30, 20));
    fc.assert(
      fc.property(star, fc.nat(), (points, k) => {
        const drawn = toggleRound(outlineOf(points), k % points.length);
        const curved = curvedOutline(drawn).points;
        for (const p of points) expect(curved).toContainEqual({ x: p.x, y: p.y });
      }),
    );
  });
});

describe('editing an outline', () => {
  const drawn = outlineOf(box(300, 200));

  it('a point added in the middle of an edge changes nothing until it is moved', () => {
    const more = addPointAfter(drawn, 1);
    expect(more.points).toHaveLength(5);
    expect(area(more)).toBeCloseTo(60_000, 6);
    expect(area(movePoint(more, 2, { x: 200, y: 0 }))).toBeCloseTo(60_000 + 5000, 6);
    expect(removePoint(more, 2)).toEqual(drawn);
  });

  it('open edges stay with their place when points are added and removed', () => {
    const open = toggleOpen(drawn, 1);
    expect(openLength(open)).toBeCloseTo(200, 6);
    expect(openLength(addPointAfter(open, 0))).toBeCloseTo(200, 6);
    expect(openLength(addPointAfter(open, 1))).toBeCloseTo(200, 6);
    expect(openLength(removePoint(addPointAfter(open, 0), 1))).toBeCloseTo(200, 6);
    expect(toggleOpen(open, 1)).toEqual(drawn);
  });

  it('never leaves fewer points than enclose something', () => {
    const triangle = outlineOf(box(30, 20).slice(0, 3));
    expect(removePoint(triangle, 0)).toBe(triangle);
  });

  it('mirrored, one half stands for both: the ends stay on the axis, both sides move', () => {
    const half = setMirrored(drawn, true);
    expect(half.mirrored).toBe(true);
    expect(area(half)).toBeCloseTo(60_000, 6);
    const i = half.points.findIndex(p => p.y !== 0);
    const from = half.points[i] ?? { x: 0, y: 0 };
    const moved = movePoint(half, i, { x: from.x, y: from.y + 10 });
    const bounds = boundsOf(curvedOutline(moved).points);
    expect([bounds.minY, bounds.maxY]).toEqual([-110, 110]);
    expect(movePoint(half, 0, { x: -200, y: 40 }).points[0]).toMatchObject({ x: -200, y: 0 });
    expect(area(setMirrored(half, false))).toBeCloseTo(60_000, 6);
  });

  it('an open edge of a mirrored half is open on both sides', () => {
    const half = setMirrored(drawn, true);
    expect(openLength(toggleOpen(half, 0))).toBeCloseTo(200, 6);
    expect(openLength(toggleOpen(half, half.points.length - 2))).toBeCloseTo(200, 6);
    expect(openLength(setMirrored(toggleOpen(half, 0), false))).toBeCloseTo(200, 6);
  });

  it('mirroring and freeing again keeps a mirrored outline as it was, whatever its points', () => {
    const half = fc.array(fc.double({ min: 20, max: 200, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(half, heights => {
        const length = 40 * (heights.length + 1);
        const mirrored: DrawnOutline = {
          points: [
            { x: 0, y: 0, round: false },
            ...heights.map((y, i) => ({ x: 40 * (i + 1), y, round: i % 2 === 0 })),
            { x: length, y: 0, round: false },
          ],
          open: [],
          mirrored: true,
        };
        const free = setMirrored(mirrored, false);
        expect(area(free)).toBeCloseTo(area(mirrored), 6);
        expect(free.points).toHaveLength(2 * heights.length + 2);
      }),
    );
  });
});

describe('what an outline may not be', () => {
  const codes = (points: Polygon): readonly string[] => {
    const got = cleanOutline(points, 'x');
    return got.ok ? [] : got.issues.map(i => i.code);
  };

  it('finds the crossing of a bow tie, and none in any star', () => {
    const tie = [
      { x: 0, y: 0 },
      { x: 50, y: 50 },
      { x: 50, y: 0 },
      { x: 0, y: 50 },
    ];
    expect(selfCrossing(tie)).toEqual({ x: 25, y: 25 });
    fc.assert(
      fc.property(star, points => {
        expect(selfCrossing(points)).toBeNull();
      }),
    );
  });

  it('finds a crossing wherever two edges were swapped in a circle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 200 }), fc.nat(), (n, at) => {
        const circle = ellipse(200, 200).filter((_, i) => i % Math.max(1, Math.floor(256 / n)) === 0);
        const k = at % (circle.length - 1);
        const swapped = circle.map((p, i) => (i === k ? circle[k + 1] : i === k + 1 ? circle[k] : p) ?? p);
        expect(selfCrossing(swapped)).not.toBeNull();
      }),
    );
  });

  it('refuses what is not a number, too large, too many, empty or folded on itself', () => {
    expect(codes([...box(30, 20), { x: Number.NaN, y: 0 }])).toEqual(['OUTLINE_NOT_NUMBERS']);
    expect(codes(box(20_000, 200))).toEqual(['OUTLINE_TOO_LARGE']);
    expect(codes(Array.from({ length: 200_001 }, (_, i) => ({ x: i, y: 0 })))).toEqual(['OUTLINE_TOO_MANY']);
    expect(
      codes([
        { x: 0, y: 0 },
        { x: 10, y: 0 },
      ]),
    ).toEqual(['OUTLINE_EMPTY']);
    expect(codes([])).toEqual(['OUTLINE_EMPTY']);
    expect(
      codes([
        { x: 0, y: 0 },
        { x: 100, y: 0 },
        { x: 50, y: 0 },
        { x: 50, y: 40 },
      ]),
    ).toEqual(['OUTLINE_CROSSES']);
  });

  it('drops points that repeat their neighbour, and the last that repeats the first', () => {
    const [a, b, c, d] = box(30, 20);
    if (!a || !b || !c || !d) throw new Error('no box');
    expect(cleanOutline([a, a, b, c, c, d, a], 'x')).toEqual({
      ok: true,
      value: [b, c, d, a],
    });
  });

  it('ten thousand points are looked through in a blink, and thinned without a change that shows', () => {
    const many = Array.from({ length: 10_000 }, (_, i) => {
      const angle = (2 * Math.PI * i) / 10_000;
      const r = 200 + 20 * Math.sin(9 * angle);
      return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
    });
    expect(selfCrossing(many)).toBeNull();
    expect(quickest(() => selfCrossing(many), 3)).toBeLessThan(1500);
    const thinned = simplify(many);
    expect(thinned.length).toBeLessThan(2000);
    expect(polygonArea(thinned) / polygonArea(many)).toBeCloseTo(1, 3);
  });
});
