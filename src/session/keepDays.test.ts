import { describe, expect, it } from 'vitest';
import { writeWorkshop } from '../files/writeWorkshop';
import { readWorkshop } from '../files/readWorkshop';
import { aPiece } from '../records/testing/build';
import { pieceKind } from '../records/piece';
import type { DayCopies } from './dayCopies';
import { keepDays, type WriteDay } from './keepDays';
import { aWorkshop, handClock } from './testing/open';

const DAY_MS = 86_400_000;

const memoryCopies = () => {
  const kept = new Map<string, Uint8Array<ArrayBuffer>>();
  const copies: DayCopies = {
    list: async () =>
      [...kept.keys()]
        .toSorted()
        .toReversed()
        .map(day => ({
          day,
          open: async () => new File([kept.get(day) ?? new Uint8Array()], `${day}.json`),
        })),
    keep: async (day, bytes) => void kept.set(day, new Uint8Array(bytes)),
    drop: async day => void kept.delete(day),
  };
  return { kept, copies };
};

/** A workshop that is written, or cannot be. */
const open = () => {
  const hand = handClock();
  const workshop = aWorkshop({ clock: hand.clock });
  let fails = false;
  const write: WriteDay = async ({ store, nowIso }) => {
    if (fails) throw new Error('no room');
    const written = writeWorkshop({
      snapshot: await store.snapshot(),
      attachments: [],
      exportedAt: nowIso(),
    });
    return written.ok ? written.value.bytes : new Uint8Array();
  };
  /** Changes something, and lets the clock go on. */
  const change = async (name: string): Promise<void> => {
    await workshop.store.update(pieceKind, 'p1', p => ({ ...p, name }));
    hand.turn(6000);
    hand.strike();
    await new Promise(resolve => setTimeout(resolve, 30));
  };
  return { hand, workshop, change, write, fail: (on: boolean) => (fails = on) };
};

describe('days to go back to', () => {
  it('the first change of a day keeps the workshop, once; seven days are kept', async () => {
    const { hand, workshop, change, write } = open();
    await workshop.store.add(pieceKind, aPiece('p1'));
    const { kept, copies } = memoryCopies();
    keepDays(workshop, copies, write);
    await change('first');
    await change('second');
    expect([...kept.keys()]).toEqual(['2026-03-01']);
    const [bytes] = kept.values();
    const read = bytes && readWorkshop(bytes, '2026-03-01T10:00:00.000Z');
    // As it stood at the first change of the day, not at the last.
    expect(read?.ok && read.value.snapshot.records.map(r => pieceKind.nameOf(r))).toEqual(['first']);
    for (let day = 1; day < 10; day += 1) {
      hand.turn(DAY_MS);
      await change(`day ${day}`);
    }
    expect([...kept.keys()].toSorted()).toEqual(
      ['04', '05', '06', '07', '08', '09', '10'].map(d => `2026-03-${d}`),
    );
  });

  it('what could not be kept is tried again at the next change, and nothing else is held up', async () => {
    const { workshop, change, write, fail } = open();
    await workshop.store.add(pieceKind, aPiece('p1'));
    const { kept, copies } = memoryCopies();
    keepDays(workshop, copies, write);
    fail(true);
    await change('first');
    expect(kept.size).toBe(0);
    fail(false);
    await change('second');
    expect(kept.size).toBe(1);
  });

  it('settings are no change, and an ended one keeps nothing', async () => {
    const { hand, workshop, change, write } = open();
    await workshop.store.add(pieceKind, aPiece('p1'));
    const { kept, copies } = memoryCopies();
    const end = keepDays(workshop, copies, write);
    await workshop.store.updateSettings(s => ({ ...s, theme: 'dark' }));
    hand.turn(10_000);
    hand.strike();
    await new Promise(resolve => setTimeout(resolve, 20));
    expect(kept.size).toBe(0);
    end();
    await change('after');
    expect(kept.size).toBe(0);
  });
});
