import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import type { Act } from '../core/acts/act';
import { LOG_TABLE } from '../records/entry';
import { pieceKind } from '../records/piece';
import { newRecipe, recipeKind } from '../records/recipe';
import { aPiece, aWool, NOW, sent } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { NO_BATCH } from '../store/batch';
import { memoryStore } from '../store/makeStore';
import { makeJournal } from './journal';
import { memoryNotes } from './notes';

const opened = async (tab = 'one') => {
  const store = memoryStore(() => NOW);
  await store.add(pieceKind, aPiece('p1'));
  const notes = memoryNotes();
  const journal = makeJournal(notes, tab, () => Date.parse(NOW));
  const replay = (living: readonly string[] = []) => journal.replay(store, t => living.includes(t));
  return { store, notes, journal, replay };
};
const note = (text: string): Act => ({ kind: 'note', text });

describe('changes noted ahead of the store', () => {
  it('are carried out at the next start, in order, and then forgotten', async () => {
    const { store, journal, replay, notes } = await opened();
    journal.note('piece', { id: 'p1', revision: 1 }, { name: 'First' });
    journal.note('piece', { id: 'p1', revision: 2 }, { name: 'Second', notes: 'thin at the edge' });
    await replay();
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'Second', notes: 'thin at the edge' });
    expect(notes.keys()).toEqual([]);
  });

  it('hold for every kind of record, and a change that makes no good record is left out', async () => {
    const { store, journal, replay } = await opened();
    await store.add(woolKind, aWool('w1', { name: 'Fog' }));
    await store.add(recipeKind, newRecipe({ id: 'r1', name: 'Ours', steps: [] }, 'bundle', NOW));
    journal.note('wool', { id: 'w1', revision: 1 }, { gramsCounted: 120 });
    journal.note('recipe', { id: 'r1', revision: 1 }, { steps: [{ id: 's1', act: 'rub', count: 60 }] });
    journal.note('recipe', { id: 'r1', revision: 2 }, { steps: [{ id: 's1', act: 'sing' }] });
    await replay();
    expect(await store.all(woolKind)).toMatchObject([{ name: 'Fog', gramsCounted: 120, revision: 2 }]);
    expect(await store.all(recipeKind)).toMatchObject([{ steps: [{ act: 'rub', count: 60 }] }]);
  });

  it('are passed over once the record has moved past them', async () => {
    const { store, journal, replay, notes } = await opened();
    // The browser brings back a note that was taken away: all of it had been kept, and more since.
    journal.note('piece', { id: 'p1', revision: 1 }, { name: 'Old' });
    await store.update(pieceKind, 'p1', p => ({ ...p, name: 'Old' }));
    await store.update(pieceKind, 'p1', p => ({ ...p, name: 'New' }));
    await replay();
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'New', revision: 3 });
    expect(notes.keys()).toEqual([]);
  });

  it('hold for settings, one at a time, and are passed over when these have moved on', async () => {
    const { store, journal, replay, notes } = await opened();
    journal.noteSettings({ revision: 1 }, { theme: 'dark' });
    journal.noteSettings({ revision: 2 }, { units: 'imperial', setOfRolls: 50 });
    await replay();
    expect(await store.settings()).toMatchObject({ theme: 'dark', units: 'imperial', setOfRolls: 50 });
    journal.noteSettings({ revision: 1 }, { theme: 'light' });
    journal.noteSettings({ revision: 9 }, { setOfRolls: -1 });
    await replay();
    expect(await store.settings()).toMatchObject({ theme: 'dark', setOfRolls: 50 });
    expect(notes.keys()).toEqual([]);
  });

  it('hold for the log: an entry comes in once, whether it had arrived or not', async () => {
    const { store, journal, replay, notes } = await opened();
    const soap = sent('e1', 'p1', note('more soap'));
    const stuck = sent('e2', 'p1', note('stuck'));
    journal.noteEntry(soap);
    journal.noteEntry(stuck);
    await store.append(soap);
    await replay();
    await replay();
    expect(await store.entries('p1')).toMatchObject([
      { id: 'e1', seq: 1, at: NOW, act: soap.act },
      { id: 'e2', seq: 2, at: NOW, act: stuck.act },
    ]);
    journal.noteEntry({ ...stuck, id: 'e3' })();
    journal.noteEntry({ ...stuck, id: 'e4', pieceId: 'gone' });
    notes.set(
      'jorrit.ahead.1.1.x',
      JSON.stringify({ kind: 'entry', id: 'e5', fields: { act: { kind: 'roll' } } }),
    );
    await replay();
    expect(await store.allEntries()).toHaveLength(2);
    expect(notes.keys()).toEqual([]);
  });

  it('undo an entry once: one that was taken back already is not taken back again', async () => {
    const { store, journal, replay } = await opened();
    await store.append(sent('e1'));
    const undo = (id: string) => sent(id, 'p1', { kind: 'undo', of: 'e1' });
    journal.noteEntry(undo('u1'));
    journal.noteEntry(undo('u2'));
    await replay();
    expect((await store.entries('p1')).map(e => e.id)).toEqual(['e1', 'u1']);
  });

  it('of a tab that is at work are left to it', async () => {
    const { store, notes, journal, replay } = await opened('two');
    const other = makeJournal(notes, 'one', () => Date.parse(NOW));
    other.note('piece', { id: 'p1', revision: 1 }, { name: 'on its way' });
    journal.noteEntry(sent('e1'));
    await replay(['one', 'two']);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'Piece p1' });
    expect((await store.entries('p1')).map(e => e.id)).toEqual(['e1']);
    expect(notes.keys()).toHaveLength(1);
    await replay(['two']);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'on its way' });
  });

  it('are forgotten once they are durable', async () => {
    const { store, journal, replay } = await opened();
    journal.note('piece', { id: 'p1', revision: 1 }, { name: 'First' })();
    await replay();
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'Piece p1', revision: 1 });
  });

  it('do no harm when they are damaged, nonsense, or of a record that is gone', async () => {
    const { store, notes, replay } = await opened();
    const put = (n: number, text: string) => notes.set(`jorrit.ahead.${n}`, text);
    put(1, '{"kind": "piece", "id": "p1", "on": 1, "fields": {"name": ""}}');
    put(2, 'not JSON');
    put(3, '{"kind": "piece", "id": "gone", "on": 1, "fields": {"name": "x"}}');
    put(4, '{"kind": "piece", "id": "p1", "on": 9, "fields": {"id": "p2", "revision": 900}}');
    put(5, '{"kind": "settings", "id": "p1", "fields": {"name": "x"}}');
    put(6, '{"kind": "__proto__", "id": "p1", "fields": {"name": "x"}}');
    notes.set('other', 'stays');
    await replay();
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ id: 'p1', name: 'Piece p1' });
    expect((await store.get(pieceKind, 'p1'))?.revision).toBeLessThan(5);
    expect(notes.keys()).toEqual(['other']);
  });
});

describe('notes of the build before, which named no revision', () => {
  const fixture = (name: string): unknown =>
    JSON.parse(readFileSync(new URL(`../../fixtures/build-1/${name}.json`, import.meta.url), 'utf8'));

  it('are carried out where nothing was changed since, and not over what was', async () => {
    const rows = z
      .object({
        stores: z.record(z.string(), z.object({ rows: z.array(z.tuple([z.string(), z.looseObject({})])) })),
      })
      .parse(fixture('database')).stores;
    const store = memoryStore(() => '2026-11-27T10:00:00.000Z');
    // As raw as the browser holds them: what can be read is read from here.
    const unread = Object.entries(rows)
      .filter(([table]) => table !== 'settings')
      .flatMap(([table, { rows: all }]) => all.map(([, raw]) => ({ table, raw, issues: [] })));
    await store.transact(() => ({ batch: { ...NO_BATCH, unread }, result: null }));
    const { records, entries, unread: left } = await store.snapshot();
    expect(left).toEqual([]);
    expect([records.length, entries.length]).toEqual([13, rows[LOG_TABLE]?.rows.length]);
    const notes = memoryNotes();
    const all = z.record(z.string(), z.string()).parse(fixture('local-storage'));
    for (const [key, text] of Object.entries(all)) notes.set(key, text);
    await store.update(pieceKind, 'p-own', p => ({ ...p, name: 'changed since' }));
    notes.set(
      'jorrit.ahead.1795600000009.9',
      JSON.stringify({ kind: 'piece', id: 'p-own', fields: { name: 'older' } }),
    );
    await makeJournal(notes, 'now', () => 0).replay(store, () => false);
    expect(await store.get(pieceKind, 'p-ball')).toMatchObject({ notes: 'typed in the last moment' });
    expect(await store.get(pieceKind, 'p-own')).toMatchObject({ name: 'changed since' });
    expect((await store.entries('p-ball')).at(-1)).toMatchObject({ id: 'late-1', act: { kind: 'throw' } });
    expect((await store.settings()).theme).toBe('dark');
    expect(notes.keys()).toEqual(['jorrit.measuring.p-own']);
  });
});
