import { describe, expect, it } from 'vitest';
import { issue } from '../core/issues';
import { benchLog } from '../core/log/logParts';
import { nextUndo } from '../core/log/entriesInForce';
import { pieceKind } from '../records/piece';
import { aPiece, NOW, sent } from '../records/testing/build';
import { memoryStore } from '../store/makeStore';
import type { Store } from '../store/store';
import { StoreError } from '../store/storeError';
import { makeJournal } from './journal';
import { memoryNotes } from './notes';
import { makeOutbox } from './outbox';
import { handClock } from './testing/open';

/** A store whose disk can be filled and emptied. */
const opened = async () => {
  const real = memoryStore(() => NOW);
  await real.add(pieceKind, aPiece('p1'));
  const disk = { isFull: false };
  const orFull =
    <A extends readonly unknown[], R>(work: (...args: A) => Promise<R>) =>
    (...args: A): Promise<R> =>
      disk.isFull ? Promise.reject(new StoreError(issue('STORE_FULL', ''))) : work(...args);
  const store: Store = { ...real, append: orFull(real.append), appendBy: orFull(real.appendBy) };
  const notes = memoryNotes();
  const time = handClock();
  const outbox = makeOutbox({
    store,
    journal: makeJournal(notes, 'tab', time.clock.nowMs),
    clock: time.clock,
  });
  const log = async () => (await real.entries('p1')).map(e => e.id);
  return { real, disk, notes, time, outbox, log };
};
const which = (all: Parameters<typeof nextUndo>[0]) => nextUndo(benchLog(all));

describe('acts on their way into the log', () => {
  it('are kept in the order in which they were sent, each noted until it is', async () => {
    const { outbox, notes, log } = await opened();
    const all = ['a', 'b', 'c'].map(id => outbox.send(sent(id)));
    expect(notes.keys()).toHaveLength(3);
    expect(await Promise.all(all)).toEqual([null, null, null]);
    expect(await log()).toEqual(['a', 'b', 'c']);
    expect(notes.keys()).toEqual([]);
  });

  it('wait where there is no room, are said to wait, and are kept when there is', async () => {
    const { outbox, disk, notes, time, log } = await opened();
    await outbox.send(sent('a'));
    disk.isFull = true;
    const waiting = [outbox.send(sent('b')), outbox.send(sent('c'))];
    await expect.poll(() => outbox.waiting()).toMatchObject({ count: 2, why: { code: 'STORE_FULL' } });
    expect(await log()).toEqual(['a']);
    // Still noted: where the page goes now, the next start tries again.
    expect(notes.keys()).toHaveLength(2);
    time.strike();
    await expect.poll(() => outbox.waiting().count).toBe(2);
    disk.isFull = false;
    time.strike();
    expect(await Promise.all(waiting)).toEqual([null, null]);
    expect(await log()).toEqual(['a', 'b', 'c']);
    expect(outbox.waiting()).toEqual({ why: null, count: 0 });
    expect(notes.keys()).toEqual([]);
    expect(time.waiting()).toBe(0);
  });

  it('that wait are taken back by Undo, the last first, and then never come', async () => {
    const { outbox, disk, notes, log } = await opened();
    disk.isFull = true;
    void outbox.send(sent('a'));
    const b = outbox.send(sent('b'));
    await expect.poll(() => outbox.waiting().count).toBe(2);
    expect(outbox.takeBackWaiting('p1')).toBe(true);
    expect(outbox.takeBackWaiting('other')).toBe(false);
    await b;
    disk.isFull = false;
    outbox.tryAgain();
    await expect.poll(log).toEqual(['a']);
    expect(notes.keys()).toEqual([]);
    expect(outbox.takeBackWaiting('p1')).toBe(false);
  });

  it('that can never be kept are refused with the reason, and the next goes on', async () => {
    const { outbox, notes, log } = await opened();
    const gone = outbox.send(sent('a', 'cleared'));
    const good = outbox.send(sent('b'));
    expect((await gone)?.code).toBe('PIECE_GONE');
    expect(await good).toBeNull();
    expect(await log()).toEqual(['b']);
    expect(notes.keys()).toEqual([]);
  });

  it('undo two entries when it is pressed twice, and in two tabs never the same', async () => {
    const { real, outbox, time, notes, log } = await opened();
    const other = makeOutbox({
      store: real,
      journal: makeJournal(notes, 'other', time.clock.nowMs),
      clock: time.clock,
    });
    for (const id of ['a', 'b', 'c', 'd']) await outbox.send(sent(id));
    const shown = await real.entries('p1');
    const undo = (box: typeof outbox, id: string) =>
      box.sendUndo({ id, pieceId: 'p1', at: NOW }, which, shown);
    await Promise.all([undo(outbox, 'u1'), undo(other, 'u2'), undo(outbox, 'u3')]);
    const entries = await real.entries('p1');
    expect(entries.flatMap(e => (e.act.kind === 'undo' ? [e.act.of] : [])).toSorted()).toEqual([
      'b',
      'c',
      'd',
    ]);
    expect(await log()).toHaveLength(7);
    expect(notes.keys()).toEqual([]);
  });
});
