import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { patchBetween, patched, reversed } from './patch';

const BEFORE = {
  id: 'p',
  revision: 4,
  updatedAt: 'then',
  name: 'Pad',
  plan: { grams: 40, shrinkage: { along: 0.3, across: 0.3 }, given: ['size', 'grams'] },
};

describe('a change of a record', () => {
  it('names the figures that differ, lists as one, and nothing of the store’s own', () => {
    const after = {
      ...BEFORE,
      revision: 5,
      updatedAt: 'now',
      plan: { ...BEFORE.plan, shrinkage: { along: 0.4, across: 0.3 }, given: ['size'], thickness: 3 },
    };
    expect(patchBetween(BEFORE, after)).toEqual([
      { path: ['plan', 'shrinkage', 'along'], was: 0.3, is: 0.4 },
      { path: ['plan', 'given'], was: ['size', 'grams'], is: ['size'] },
      { path: ['plan', 'thickness'], was: undefined, is: 3 },
    ]);
  });

  it('is taken back figure by figure, and leaves what somebody else has changed since', () => {
    const after = { ...BEFORE, name: 'Mat', plan: { ...BEFORE.plan, grams: 60 } };
    const back = reversed(patchBetween(BEFORE, after));
    expect(patched(after, back)).toEqual({ fields: BEFORE, overtaken: 0 });
    const since = { ...after, notes: 'wet', plan: { ...after.plan, grams: 75 } };
    const { fields, overtaken } = patched(since, back);
    expect(overtaken).toBe(1);
    expect(fields).toEqual({ ...since, name: 'Pad' });
  });

  it('goes there and back over anything, to the last figure', () => {
    const any = fc.dictionary(
      fc.constantFrom('a', 'b', 'c'),
      fc.oneof(fc.integer(), fc.array(fc.integer()), fc.dictionary(fc.constantFrom('x', 'y'), fc.integer())),
    );
    fc.assert(
      fc.property(any, any, (before, after) => {
        const patch = patchBetween(before, after);
        expect(patched(before, patch)).toEqual({ fields: after, overtaken: 0 });
        expect(patched(after, reversed(patch))).toEqual({ fields: before, overtaken: 0 });
      }),
    );
  });
});
