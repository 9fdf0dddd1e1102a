import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ProfilePoint } from '../core/forms/formKind';
import { polygonArea } from '../core/outline/polygon';
import { type Facet, turnedFacets } from './turned';

const R = 100;
/** A ball of radius 100 mm, from its lower pole up. */
const BALL: readonly ProfilePoint[] = Array.from({ length: 31 }, (_, i) => {
  const angle = -Math.PI / 2 + (Math.PI * i) / 30;
  return { r: R * Math.cos(angle), z: R * Math.sin(angle) };
});
const CUP: readonly ProfilePoint[] = [
  { r: 0, z: 0 },
  { r: 60, z: 0 },
  { r: 60, z: 80 },
];

const areaOf = (facets: readonly Facet[]): number =>
  facets.reduce((sum, f) => sum + Math.abs(polygonArea(f.corners)), 0);

describe('the finished form, turned', () => {
  it('shows a ball as a circle of its own area, however it is turned and tilted', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -720, max: 720 }),
        fc.integer({ min: -80, max: 80 }),
        (turnDeg, tiltDeg) => {
          const facets = turnedFacets({ profile: BALL, mouth: 'up' }, { turnDeg, tiltDeg });
          const front = facets.filter(f => !f.isInside);
          // 48 sides and 30 rings lie within the ball: at most 2 % short of πr².
          expect(areaOf(front) / (Math.PI * R * R)).toBeGreaterThan(0.98);
          expect(areaOf(front) / (Math.PI * R * R)).toBeLessThan(1.0001);
          const reach = Math.max(...facets.flatMap(f => f.corners.map(({ x, y }) => Math.hypot(x, y))));
          expect(reach).toBeLessThan(R + 1e-9);
          expect(facets.every(f => f.shade >= 0 && f.shade <= 1)).toBe(true);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('shows the inside of a cup through its mouth, from above only', () => {
    const inside = (mouth: 'up' | 'down', tiltDeg: number): number =>
      areaOf(turnedFacets({ profile: CUP, mouth }, { turnDeg: 0, tiltDeg }).filter(f => f.isInside));
    // Straight from above, all that is seen of a cup is its floor; from below, its bottom.
    expect(inside('up', 90)).toBeCloseTo(48 * 0.5 * 60 * 60 * Math.sin((2 * Math.PI) / 48), 6);
    expect(inside('down', 90)).toBeCloseTo(0, 6);
    expect(inside('up', 20)).toBeGreaterThan(0);
  });

  it('lists what is further away first, so that the near side is drawn over it', () => {
    const facets = turnedFacets({ profile: CUP, mouth: 'up' }, { turnDeg: 0, tiltDeg: 0 });
    const [first, last] = [facets[0], facets.at(-1)];
    expect([first?.isInside, last?.isInside]).toEqual([true, false]);
  });

  it('keeps at most 30 rings of a fine profile, its ends among them', () => {
    const fine = Array.from({ length: 500 }, (_, i) => ({ r: 50, z: i }));
    const facets = turnedFacets({ profile: fine, mouth: 'up' }, { turnDeg: 0, tiltDeg: 0 });
    expect(facets).toHaveLength(29 * 48);
    const heights = facets.flatMap(f => f.corners.map(c => c.y));
    expect([Math.min(...heights), Math.max(...heights)]).toEqual([-499, 0]);
  });

  it('marks the two lines where the edges of the resist lay', () => {
    const facets = turnedFacets({ profile: CUP, mouth: 'up' }, { turnDeg: 0, tiltDeg: 0 });
    expect(facets.filter(f => f.isEdge)).toHaveLength(2 * 2);
  });
});
