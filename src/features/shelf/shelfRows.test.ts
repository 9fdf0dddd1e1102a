import { describe, expect, it } from 'vitest';
import { newWool } from '../../records/wool';
import { shelfRows } from './shelfRows';

const NOW = '2026-03-01T10:00:00.000Z';
const wool = (name: string, fibre: string, gramsCounted: number | null) => ({
  ...newWool({ id: name, name, fibre, form: 'batt', colour: '#aabbcc', now: NOW }),
  gramsCounted,
});
const SHELF = [
  wool('Fog', 'Suffolk', 200),
  wool('Kelp', 'Corriedale', 640),
  { ...wool('Moth', 'silk', null), sort: 'decoration' as const },
  { ...wool('Gone', 'Corriedale', 5), deletedAt: NOW },
];
const counted = (w: { readonly gramsCounted: number | null }) => w.gramsCounted;
const names = (of: Omit<Parameters<typeof shelfRows>[1], 'left'>, left = counted): string[] =>
  shelfRows(SHELF, { ...of, left }).map(w => w.name);

describe('the shelf', () => {
  it('is put in order, what was taken off left out', () => {
    expect(names({ find: '', sort: 'all', order: 'name' })).toEqual(['Fog', 'Kelp', 'Moth']);
    expect(names({ find: '', sort: 'all', order: 'grams' })).toEqual(['Kelp', 'Fog', 'Moth']);
    expect(names({ find: '', sort: 'all', order: 'fibre' })).toEqual(['Kelp', 'Moth', 'Fog']);
  });

  it('by grams, goes by what is left, as it is shown, not by what was counted', () => {
    const used = (w: { readonly gramsCounted: number | null }) =>
      w.gramsCounted === 640 ? 40 : w.gramsCounted;
    expect(names({ find: '', sort: 'all', order: 'grams' }, used)).toEqual(['Fog', 'Kelp', 'Moth']);
  });

  it('finds by every word, in any field', () => {
    expect(names({ find: 'batt corrie', sort: 'all', order: 'name' })).toEqual(['Kelp']);
    expect(names({ find: 'kelp suffolk', sort: 'all', order: 'name' })).toEqual([]);
    expect(names({ find: '', sort: 'decoration', order: 'name' })).toEqual(['Moth']);
  });

  it('filters two thousand wools within a frame', () => {
    const many = Array.from({ length: 2000 }, (_, i) => wool(`Wool ${i}`, 'Corriedale', i));
    const times = Array.from({ length: 9 }, () => {
      const before = performance.now();
      expect(
        shelfRows(many, { find: 'wool 19', sort: 'all', order: 'grams', left: counted }).length,
      ).toBeGreaterThan(100);
      return performance.now() - before;
    });
    expect(times.toSorted((a, b) => a - b)[4]).toBeLessThan(16);
  });
});
