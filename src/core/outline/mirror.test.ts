import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areMirrored, isMirrored, upperHalf } from './mirror';
import { SAME_POINT_MM } from '../tolerances';
import { pathLength } from './polygon';
import { box, ellipse } from './shapes';

describe('halves on the fold', () => {
  it('knows what is mirrored about its axis', () => {
    expect(isMirrored(box(300, 200))).toBe(true);
    expect(isMirrored(ellipse(300, 200))).toBe(true);
    expect(isMirrored(box(300, 200).map(p => ({ x: p.x, y: p.y + 1 })))).toBe(false);
  });

  it('knows lines that are each other’s image, and a cut on one side only', () => {
    const cut = (y: number) => [
      { x: 0, y },
      { x: 50, y: 2 * y },
    ];
    expect(areMirrored([cut(20), cut(-20).toReversed()])).toBe(true);
    expect(areMirrored([cut(20)])).toBe(false);
    expect(areMirrored([])).toBe(true);
  });

  it('a rectangle’s half is three of its sides, begun and ended on the axis', () => {
    const [half, ...more] = upperHalf(box(300, 200), true);
    expect(more).toEqual([]);
    expect(pathLength(half ?? [])).toBeCloseTo(300 + 2 * 100, 9);
    expect([half?.[0]?.y, half?.at(-1)?.y]).toEqual([0, 0]);
  });

  it('two halves of a mirrored line are as long as the whole', () => {
    const points = fc.array(
      fc.record({
        x: fc.double({ min: -300, max: 300, noNaN: true }),
        y: fc.double({ min: -200, max: 200, noNaN: true }),
      }),
      { minLength: 3, maxLength: 20 },
    );
    fc.assert(
      fc.property(points, fc.boolean(), (line, closed) => {
        const length = (l: typeof line): number =>
          upperHalf(l, closed).reduce((sum, p) => sum + pathLength(p), 0);
        const whole = pathLength(closed ? [...line, ...line.slice(0, 1)] : line);
        const other = line.map(p => ({ x: p.x, y: -p.y }));
        // A stretch that lies on the axis itself belongs to both halves.
        fc.pre(line.every(p => p.y !== 0));
        // Pieces shorter than a point is wide are left out.
        expect(Math.abs(length(line) + length(other) - whole)).toBeLessThan(line.length * SAME_POINT_MM);
        for (const piece of upperHalf(line, closed))
          for (const p of piece) expect(p.y).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
