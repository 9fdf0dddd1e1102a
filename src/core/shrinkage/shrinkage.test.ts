import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { finishedMm, laidMm, shrinkage } from '../quantity';
import { additiveSlip } from './additiveSlip';
import { areaKept } from './areaKept';
import { dimensionalChangePercent } from './dimensionalChange';
import { finishedLength } from './finishedLength';
import { laidLength } from './laidLength';
import { linearFromKept } from './linearFromKept';
import { measuredShrinkage } from './measuredShrinkage';
import { shrinkageFactor } from './shrinkageFactor';

const anyShrinkage = fc.double({ min: 0, max: 0.94, noNaN: true }).map(shrinkage);
const anyLength = fc.double({ min: 0.1, max: 20_000, noNaN: true });

describe('linear shrinkage', () => {
  // Exact arithmetic: f = 1/(1−s), area kept (1−s)².
  it.each([
    [0.2, 1.25, 0.64],
    [0.3, 1.4286, 0.49],
    [1 / 3, 1.5, 0.4444],
    [0.4, 1.6667, 0.36],
    [0.5, 2, 0.25],
  ])('s = %f lays %f times as large and keeps %f of the area', (s, factor, kept) => {
    expect(shrinkageFactor(shrinkage(s))).toBeCloseTo(factor, 4);
    expect(areaKept({ along: shrinkage(s), across: shrinkage(s) })).toBeCloseTo(kept, 4);
  });

  it('divides, not adds: 300 mm at 40 % is laid 500 mm', () => {
    expect(laidLength(finishedMm(300), shrinkage(0.4))).toBeCloseTo(500, 10);
  });

  it('the usual slip of adding 30 % ends at 0.91 of the wanted size', () => {
    expect(additiveSlip(shrinkage(0.3))).toBeCloseTo(0.91, 12);
  });

  it('the slip is always short, and is 1 − s²', () => {
    fc.assert(
      fc.property(anyShrinkage, s => {
        expect(additiveSlip(s)).toBeCloseTo(1 - s * s, 12);
        expect(additiveSlip(s)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('half of the area is 29.3 % linear, half of the volume 20.6 %', () => {
    expect(linearFromKept(0.5, 1)).toBeCloseTo(0.5, 12);
    expect(100 * linearFromKept(0.5, 2)).toBeCloseTo(29.3, 1);
    expect(100 * linearFromKept(0.5, 3)).toBeCloseTo(20.6, 1);
  });

  it('laying and shrinking undo each other', () => {
    fc.assert(
      fc.property(anyLength, anyShrinkage, (length, s) => {
        const laid = laidLength(finishedMm(length), s);
        expect(finishedLength(laid, s) / length).toBeCloseTo(1, 10);
        expect(measuredShrinkage(laid, finishedMm(length))).toBeCloseTo(s, 10);
      }),
    );
  });

  it('the area kept is what is left of the length of each axis', () => {
    fc.assert(
      fc.property(anyShrinkage, anyShrinkage, (along, across) => {
        const [a, b] = [finishedLength(laidMm(1), along), finishedLength(laidMm(1), across)];
        expect(areaKept({ along, across })).toBeCloseTo(a * b, 12);
      }),
    );
  });

  it('is signed as the standards for dimensional change sign it (ISO 3759 / ISO 5077, from memory)', () => {
    expect(dimensionalChangePercent({ before: 500, after: 350 })).toBeCloseTo(-30, 12);
    expect(dimensionalChangePercent({ before: 500, after: 510 })).toBeCloseTo(2, 12);
  });
});
