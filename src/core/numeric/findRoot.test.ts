import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findRoot } from './findRoot';

describe('findRoot', () => {
  it('finds the square root of two', () => {
    expect(findRoot(x => x * x - 2, { low: 0, high: 2 })).toBeCloseTo(Math.SQRT2, 9);
  });

  it('finds roots of rising and falling curves wherever they lie', () => {
    const curve = fc.record({
      root: fc.double({ min: -50, max: 50, noNaN: true }),
      sign: fc.constantFrom(1, -1),
      bend: fc.double({ min: 0, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(curve, ({ root, sign, bend }) => {
        const f = (x: number): number => sign * (x - root + bend * (x - root) ** 3);
        expect(findRoot(f, { low: -60, high: 70 })).toBeCloseTo(root, 6);
      }),
    );
  });

  it('answers null where there is no root, and where the curve breaks', () => {
    expect(findRoot(x => x * x + 1, { low: -1, high: 1 })).toBeNull();
    expect(findRoot(() => Number.NaN, { low: 0, high: 1 })).toBeNull();
    expect(findRoot(x => (Math.abs(x) < 0.4 ? Number.NaN : x), { low: -1, high: 1 })).toBeNull();
  });

  it('takes an end that is the root', () => {
    expect(findRoot(x => x, { low: 0, high: 1 })).toBe(0);
    expect(findRoot(x => x - 1, { low: 0, high: 1 })).toBe(1);
  });
});
