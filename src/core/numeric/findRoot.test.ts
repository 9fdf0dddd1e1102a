import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findRoot, findRootNear } from './findRoot';

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

describe('findRootNear', () => {
  it('finds what findRoot finds, with fewer looks from a fair guess', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (root, off) => {
          let [near, whole] = [0, 0];
          const f = (x: number): number =>
            Math.log(2.3) - 0.7 * (Math.exp(0.3 * (x - root)) - 1) - Math.log(2.3);
          const nearby = findRootNear(
            x => {
              near += 1;
              return f(x);
            },
            { low: -7, high: 7, near: Math.max(-7, Math.min(7, root + off)), slope: -0.2 },
            1e-8,
          );
          const all = findRoot(
            x => {
              whole += 1;
              return f(x);
            },
            { low: -7, high: 7 },
            1e-8,
          );
          expect(nearby).toBeCloseTo(all ?? Number.NaN, 5);
          expect(near).toBeLessThanOrEqual(whole);
        },
      ),
    );
  });

  it('falls back to the whole range from a guess that leads nowhere', () => {
    expect(findRootNear(x => Math.atan(x - 3), { low: -60, high: 70, near: -50, slope: 1 })).toBeCloseTo(
      3,
      6,
    );
    expect(findRootNear(x => x * x + 1, { low: -1, high: 1, near: 0, slope: 1 })).toBeNull();
  });
});
