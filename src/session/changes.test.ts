import { describe, expect, it, vi } from 'vitest';
import { pieceKind, type Piece } from '../records/piece';
import { aPiece, NOW, sent } from '../records/testing/build';
import { issue } from '../core/issues';
import { planClearing } from '../store/clearing';
import { memoryStore } from '../store/makeStore';
import type { Store } from '../store/store';
import { StoreError } from '../store/storeError';
import { changeRecord } from './changes';
import { memoryNotes } from './notes';
import { aWorkshop, handClock } from './testing/open';
import type { Workshop } from './workshop';

/** Two tabs over one store and one set of notes, each of which shows the piece. */
const twoTabs = async () => {
  const store = memoryStore(() => NOW);
  const notes = memoryNotes();
  await store.add(pieceKind, aPiece('p1'));
  const tabs = ['one', 'two'].map(tab => aWorkshop({ tab, store, notes }));
  for (const tab of tabs) await tab.client.fetchQuery(tab.cache.one(pieceKind, 'p1'));
  const [one, two] = tabs;
  if (!one || !two) throw new Error('no tabs');
  return { store, notes, one, two };
};
const change = (tab: Workshop, how: (p: Piece) => Piece, key?: string) =>
  changeRecord(tab, pieceKind, {
    id: 'p1',
    change: how,
    told: { label: 'change', ...(key ? { key } : {}) },
  });
const grams =
  (n: number) =>
  (p: Piece): Piece => ({
    ...p,
    plan: { ...p.plan, chain: { ...p.plan.chain, grams: n } },
  });

describe('a change of a record', () => {
  it('stands on the screen at once, is noted on its revision, and is durable when it settles', async () => {
    const { store, notes, one } = await twoTabs();
    const settled = change(one, p => ({ ...p, name: 'Mat' }));
    expect(one.cache.shown(pieceKind, 'p1')).toMatchObject({ name: 'Mat', revision: 2 });
    expect(notes.keys().map(key => JSON.parse(notes.get(key) ?? ''))).toEqual([
      { kind: 'piece', id: 'p1', fields: { name: 'Mat' }, on: 1, by: 'one' },
    ]);
    expect(await settled).toBeNull();
    expect(notes.keys()).toEqual([]);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'Mat', revision: 2 });
  });

  it('is seen in the other tab without its asking', async () => {
    const { one, two } = await twoTabs();
    await change(one, p => ({ ...p, name: 'Mat' }));
    expect(two.cache.shown(pieceKind, 'p1')?.name).toBe('Mat');
  });

  it('that would make no good record is refused with the place, and nothing changes', async () => {
    const { store, notes, one } = await twoTabs();
    const refused = await change(one, grams(-3));
    expect(refused?.issues).toMatchObject([{ code: 'FILE_INVALID', path: 'piece.plan.chain.grams' }]);
    expect(one.cache.shown(pieceKind, 'p1')).toEqual(aPiece('p1'));
    expect(one.history.get().done).toEqual([]);
    expect(notes.keys()).toEqual([]);
    expect(await store.get(pieceKind, 'p1')).toEqual(aPiece('p1'));
  });

  it('is kept as it was shown, though it reads the clock, and is undone as that', async () => {
    const { store, one } = await twoTabs();
    let second = 10;
    const deleted = (p: Piece): Piece => ({ ...p, deletedAt: `2026-03-01T10:00:${(second += 1)}.000Z` });
    const settled = change(one, deleted);
    const shown = one.cache.shown(pieceKind, 'p1')?.deletedAt;
    await settled;
    expect((await store.get(pieceKind, 'p1'))?.deletedAt).toBe(shown);
    expect(await one.history.undo()).toEqual({ label: 'change', overtaken: 0 });
    expect((await store.get(pieceKind, 'p1'))?.deletedAt).toBeNull();
  });

  it('is undone figure by figure: what another tab has changed since stays', async () => {
    const { store, one, two } = await twoTabs();
    await change(one, grams(40));
    await change(one, p => ({ ...p, name: 'Mat' }));
    await change(two, p => ({ ...p, notes: 'soft wool', plan: { ...p.plan, foldOverMm: 22 } }));
    expect(await one.history.undo()).toEqual({ label: 'change', overtaken: 0 });
    expect(await one.history.undo()).toEqual({ label: 'change', overtaken: 0 });
    const kept = await store.get(pieceKind, 'p1');
    expect(kept).toMatchObject({ name: 'Piece p1', notes: 'soft wool', plan: { foldOverMm: 22 } });
    expect(kept?.plan.chain.grams).toBeUndefined();
    await change(two, grams(75));
    // Its own figure was given another value since: redo leaves that, and says so.
    expect(await one.history.redo()).toEqual({ label: 'change', overtaken: 1 });
    expect((await store.get(pieceKind, 'p1'))?.plan.chain.grams).toBe(75);
  });

  it('joins typing in one field, and one undo takes all of it back', async () => {
    const { store, one } = await twoTabs();
    for (const n of [4, 40, 400]) await change(one, grams(n), 'grams');
    expect(one.history.get().done).toHaveLength(1);
    expect((await one.history.undo())?.overtaken).toBe(0);
    expect((await store.get(pieceKind, 'p1'))?.plan.chain.grams).toBeUndefined();
    expect((await one.history.redo())?.overtaken).toBe(0);
    expect((await store.get(pieceKind, 'p1'))?.plan.chain.grams).toBe(400);
  });

  it('that is not kept leaves no note, no step to undo, and shows what is there', async () => {
    const store = memoryStore(() => NOW);
    await store.add(pieceKind, aPiece('p1'));
    const full: Store = {
      ...store,
      update: () => Promise.reject(new StoreError(issue('STORE_FULL', ''))),
    };
    const notes = memoryNotes();
    const tab = aWorkshop({ store: full, notes });
    await tab.client.fetchQuery(tab.cache.one(pieceKind, 'p1'));
    await expect(change(tab, p => ({ ...p, name: 'Mat' }))).rejects.toThrow('no room');
    expect(notes.keys()).toEqual([]);
    expect(tab.history.get().done).toEqual([]);
    await tab.client.fetchQuery({ ...tab.cache.one(pieceKind, 'p1'), staleTime: 0 });
    expect(tab.cache.shown(pieceKind, 'p1')?.name).toBe('Piece p1');
  });

  it('is not covered by a read that began before it', async () => {
    const { store, one } = await twoTabs();
    let release = (): void => undefined;
    const held = new Promise<void>(resolve => (release = resolve));
    const slow = vi.spyOn(store, 'get').mockImplementationOnce(async () => {
      await held;
      return null;
    });
    const reading = one.client.fetchQuery({ ...one.cache.one(pieceKind, 'p1'), staleTime: 0 });
    await change(one, p => ({ ...p, name: 'Mat' }));
    release();
    await reading;
    slow.mockRestore();
    expect(one.cache.shown(pieceKind, 'p1')?.name).toBe('Mat');
  });
});

describe('what is read while something changes', () => {
  /** A store whose next answer is held back until it is let go. */
  const heldBack = <A extends readonly unknown[], R>(work: (...args: A) => Promise<R>) => {
    let release = (): void => undefined;
    const held = new Promise<void>(resolve => (release = resolve));
    let isFirst = true;
    return {
      release: () => release(),
      work: async (...args: A): Promise<R> => {
        const answer = await work(...args);
        if (isFirst) {
          isFirst = false;
          await held;
        }
        return answer;
      },
    };
  };

  it('a list that was begun before a record changed shows it as it is now', async () => {
    const real = memoryStore(() => NOW);
    await real.add(pieceKind, aPiece('p1', { deletedAt: NOW }));
    const { work, release } = heldBack(() => real.all(pieceKind));
    const tab = aWorkshop({ store: { ...real, all: work as Store['all'] } });
    const reading = tab.client.fetchQuery(tab.cache.list(pieceKind));
    await real.update(pieceKind, 'p1', p => ({ ...p, deletedAt: null }));
    await real.add(pieceKind, aPiece('p2'));
    release();
    expect((await reading).map(p => [p.id, p.deletedAt])).toEqual([
      ['p1', null],
      ['p2', null],
    ]);
  });

  it('a log that was begun before an act was kept holds it', async () => {
    const real = memoryStore(() => NOW);
    await real.add(pieceKind, aPiece('p1'));
    const { work, release } = heldBack((id: string) => real.entries(id));
    const tab = aWorkshop({ store: { ...real, entries: work } });
    const reading = tab.client.fetchQuery(tab.cache.entries('p1'));
    await real.append(sent('e1'));
    release();
    expect((await reading).map(e => e.id)).toEqual(['e1']);
  });

  it('is read again where all of it changed meanwhile', async () => {
    const real = memoryStore(() => NOW);
    await real.add(pieceKind, aPiece('p1', { sample: true }));
    const { work, release } = heldBack(() => real.all(pieceKind));
    const tab = aWorkshop({ store: { ...real, all: work as Store['all'] } });
    const reading = tab.client.fetchQuery(tab.cache.list(pieceKind));
    await real.transact(planClearing);
    release();
    expect(await reading).toEqual([]);
  });
});

describe('two workshops in one page', () => {
  it('have each their own clock, store, history, names and notes; nothing of one is in the other', async () => {
    const early = handClock('2026-03-01T10:00:00.000Z');
    const late = handClock('2031-07-09T08:00:00.000Z');
    const real = aWorkshop({ tab: 'real', clock: early.clock });
    const practice = aWorkshop({ tab: 'practice', clock: late.clock });
    for (const w of [real, practice]) {
      await w.store.add(pieceKind, aPiece('p1'));
      await w.client.fetchQuery(w.cache.one(pieceKind, 'p1'));
    }
    await change(practice, p => ({ ...p, name: 'Practised' }));
    await practice.outbox.send({ ...sent('e1'), at: practice.nowIso() });
    practice.notes.set('jorrit.measuring.p1', '{}');
    late.turn(60_000);
    expect(await real.store.get(pieceKind, 'p1')).toEqual(aPiece('p1'));
    expect(real.cache.shown(pieceKind, 'p1')).toEqual(aPiece('p1'));
    expect(await real.store.allEntries()).toEqual([]);
    expect(real.history.get().done).toEqual([]);
    expect(real.notes.keys()).toEqual([]);
    expect(real.chance.newId()).toBe('real-1');
    expect([real.nowIso(), practice.nowIso()]).toEqual([
      '2026-03-01T10:00:00.000Z',
      '2031-07-09T08:01:00.000Z',
    ]);
    expect((await practice.store.get(pieceKind, 'p1'))?.updatedAt).toBe('2031-07-09T08:00:00.000Z');
    practice.close();
    await change(real, p => ({ ...p, name: 'Real' }));
    expect((await real.store.get(pieceKind, 'p1'))?.name).toBe('Real');
  });
});
