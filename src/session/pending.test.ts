import { describe, expect, it } from 'vitest';
import { beginWrite, isPending, withoutStale } from './pending';

describe('records on their way to the store', () => {
  it('are pending until the last of their writes has settled', () => {
    const [first, second] = [beginWrite('a'), beginWrite('a')];
    expect(isPending('a')).toBe(true);
    expect(first()).toBe(false);
    expect(isPending('a')).toBe(true);
    expect(second()).toBe(true);
    expect(isPending('a')).toBe(false);
  });

  it('stay as they are shown when an older read comes in; others are taken as read', () => {
    const settled = beginWrite('a');
    const read = [
      { id: 'a', name: 'Fo' },
      { id: 'b', name: 'Moss' },
    ];
    expect(withoutStale(read, [{ id: 'a', name: 'Fog' }])).toEqual([
      { id: 'a', name: 'Fog' },
      { id: 'b', name: 'Moss' },
    ]);
    expect(withoutStale(read, undefined)).toEqual(read);
    settled();
    expect(withoutStale(read, [{ id: 'a', name: 'Fog' }])).toEqual(read);
  });
});
