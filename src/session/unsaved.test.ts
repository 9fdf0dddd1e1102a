import { describe, expect, it } from 'vitest';
import { memoryStore } from '../store/makeStore';
import { aPiece } from '../records/testing/build';
import { pieceKind } from '../records/piece';
import { isoTime } from './clock';
import { memoryNotes } from './notes';
import { handClock } from './testing/open';
import { makeUnsaved } from './unsaved';
import { isShort } from './useRoomLeft';

const open = () => {
  const hand = handClock();
  const store = memoryStore(() => isoTime(hand.clock.nowMs()));
  return { hand, store, notes: memoryNotes(), clock: hand.clock };
};

describe('what is in this browser only', () => {
  it('counts changes since the last file, and begins anew with each file', async () => {
    const at = open();
    const unsaved = makeUnsaved(at);
    let told = 0;
    unsaved.subscribe(() => (told += 1));
    expect(unsaved.get()).toEqual({ savedAt: null, changes: 0, fileBytes: null });
    await at.store.add(pieceKind, aPiece('p1'));
    await at.store.update(pieceKind, 'p1', p => ({ ...p, name: 'Other' }));
    await at.store.updateSettings(s => ({ ...s, theme: 'dark' }));
    at.hand.strike();
    expect(unsaved.get()).toEqual({ savedAt: null, changes: 2, fileBytes: null });
    expect(told).toBe(1);
    unsaved.saved('2026-03-01T11:00:00.000Z', 900);
    at.hand.strike();
    expect(unsaved.get()).toEqual({ savedAt: '2026-03-01T11:00:00.000Z', changes: 0, fileBytes: 900 });
  });

  it('two tabs count each change once, a closed one notes what it heard, and damaged notes are as none', async () => {
    const one = open();
    const [a, b] = [makeUnsaved(one), makeUnsaved(one)];
    await one.store.add(pieceKind, aPiece('p1'));
    await one.store.add(pieceKind, aPiece('p2'));
    one.hand.strike();
    expect([a.get().changes, b.get().changes]).toEqual([2, 2]);
    // One of them saves; the other goes on from there.
    a.saved('2026-03-01T11:00:00.000Z', 900);
    await one.store.add(pieceKind, aPiece('p3'));
    one.hand.strike();
    expect([a.get().changes, b.get().changes]).toEqual([1, 1]);
    await one.store.add(pieceKind, aPiece('p4'));
    a.close();
    expect(makeUnsaved(one).get()).toEqual({
      savedAt: '2026-03-01T11:00:00.000Z',
      changes: 2,
      fileBytes: 900,
    });
    one.notes.set('jorrit.saved', '{"changes":"many"}');
    expect(makeUnsaved(one).get()).toEqual({ savedAt: null, changes: 0, fileBytes: null });
  });
});

describe('room that runs short', () => {
  const MB = 1024 * 1024;
  it.each([
    [null, null, false],
    [49 * MB, null, true],
    [51 * MB, null, false],
    [51 * MB, 11 * MB, true],
    [60 * MB, 11 * MB, false],
    [0, 0, true],
  ])('%s bytes free beside a file of %s: short is %s', (freeBytes, fileBytes, short) => {
    expect(isShort({ freeBytes, fileBytes })).toBe(short);
  });
});
