import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { weigh } from '../wool/weigh';
import { BATCH_PRACTICE, batchOf } from './batchOf';
import { kitOf } from './kitOf';
import type { KitThing } from '../ways/kitThing';

describe('a batch', () => {
  // Common practice: hands stand 10–12 balls in one sitting, the water is dirty after about five, a day on the rack.
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
    piles: ['side 1', 'side 2'].map(name => ({ name, weight: 1, layers: 2, equal: 1 })),
    reserveShare: 0.05,
    stepG: 1,
  });
  const things: readonly KitThing[] = ['resist', 'cover', 'mat', 'towel', 'bowl', 'soap', 'card', 'scissors'];
  const of = { things, colours: [], woolId: 'kelp', stepG: 1 };
  const count = (kit: ReturnType<typeof kitOf>, thing: KitThing): number =>
    kit.packed.find(p => p.thing === thing)?.count ?? 0;

  it('twelve people: fourteen kits of 42 g, resists for all, a bowl between three', () => {
    const kit = kitOf(plan, { ...of, people: 12 });
    expect([kit.kits, kit.spares]).toEqual([14, 2]);
    expect(kit.wools).toEqual([{ woolId: 'kelp', each: 42, all: 14 * 42 }]);
    expect([count(kit, 'resist'), count(kit, 'towel'), count(kit, 'bowl')]).toEqual([14, 12, 4]);
  });

  it('one person has a spare too; none where none is wanted; a sheet has no resist', () => {
    expect(kitOf(plan, { ...of, people: 1 }).kits).toBe(2);
    expect(kitOf(plan, { ...of, people: 5, spares: 0 }).kits).toBe(5);
    expect(count(kitOf(plan, { ...of, people: 5, things: ['cover'] }), 'resist')).toBe(0);
  });
});
