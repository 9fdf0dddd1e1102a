import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { weigh } from '../wool/weigh';
import { BATCH_PRACTICE, batchOf } from './batchOf';
import { kitOf } from './kitOf';

describe('a batch', () => {
  // Common practice: hands stand 10–12 balls a sitting, water is dirty after about five, a day on the rack.
  it('of thirty balls: three sittings of ten, the water changed once in each, three trays for a day', () => {
    expect(batchOf(30)).toEqual({
      sittings: 3,
      each: [10, 10, 10],
      waterChanges: 3,
      trays: 3,
      rackHours: 48,
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

describe('kits for a class', () => {
  const plan = weigh({
    grams: 40,
    times: 1,
    piles: ['face 1', 'face 2'].map(name => ({ name, weight: 1, layers: 2, equal: 1 })),
    reserveShare: 0.05,
    stepG: 1,
  });
  const of = { children: false, onResist: true, colours: [], woolId: 'kelp', stepG: 1 };
  const count = (kit: ReturnType<typeof kitOf>, name: RegExp): number =>
    kit.packed.find(p => name.test(p.name))?.count ?? 0;

  it('twelve heads: fourteen kits of 42 g, resists for all, a bowl between three', () => {
    const kit = kitOf(plan, { ...of, heads: 12 });
    expect([kit.kits, kit.spares]).toEqual([14, 2]);
    expect(kit.wools).toEqual([{ woolId: 'kelp', each: 42, all: 14 * 42 }]);
    expect([count(kit, /resist/), count(kit, /towel/), count(kit, /bowl/)]).toEqual([14, 12, 4]);
    expect(kit.adultOnly).toEqual([]);
  });

  it('one head has a spare too; none where none is wanted; a sheet has no resist', () => {
    expect(kitOf(plan, { ...of, heads: 1 }).kits).toBe(2);
    expect(kitOf(plan, { ...of, heads: 5, spares: 0 }).kits).toBe(5);
    expect(count(kitOf(plan, { ...of, heads: 5, onResist: false }), /resist/)).toBe(0);
  });

  it('with children: cooler water, and an adult where it can hurt (common practice)', () => {
    const told = kitOf(plan, { ...of, heads: 8, children: true }).adultOnly.join(' ');
    expect(told).toContain('40 °C');
    expect(told).toContain('An adult cuts');
  });
});
