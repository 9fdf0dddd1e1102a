import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BATCH_PRACTICE, batchOf } from './batchOf';

describe('a batch', () => {
  // Common practice: hands stand 10–12 balls a sitting, water is dirty after about five, a day on the rack.
  it('of thirty balls: three sittings of ten, the water changed once in each, three trays for a day', () => {
    expect(batchOf(30)).toEqual({
      sittings: 3,
      each: [10, 10, 10],
      waterChanges: 3,
      trays: 3,
      rackHours: 24,
    });
  });

  it('sums to its sittings, none too long for the hands, none more than one larger than another', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3000 }), pieces => {
        const { each } = batchOf(pieces);
        expect(each.reduce((a, b) => a + b, 0)).toBe(pieces);
        expect(Math.max(...each)).toBeLessThanOrEqual(BATCH_PRACTICE.perSitting);
        expect(Math.max(...each) - Math.min(...each)).toBeLessThanOrEqual(1);
      }),
    );
  });
});
