import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { afterEach, describe, expect, it } from 'vitest';
import { disc } from '../core/forms/kinds/disc';
import { ENTRY_VERSION, type Entry } from '../records/entry';
import { newPlan } from '../core/plan/newPlan';
import { newPiece, type Piece } from '../records/piece';
import { newRecipe } from '../records/recipe';
import { newSwatch } from '../records/swatch';
import { newWool } from '../records/wool';
import { idbStore } from './idbStore';
import { memoryStore } from './memoryStore';
import type { Store, StoreChange } from './store';

const NOW = '2026-03-01T10:00:00.000Z';
const LATER = '2026-03-02T10:00:00.000Z';
const clock = (): string => LATER;
let names = 0;
const freshName = (): string => `test-${(names += 1)}`;

const piece = (id: string, more: Partial<Piece> = {}): Piece => ({
  ...newPiece({ id, name: `Piece ${id}`, now: NOW, plan: newPlan(disc) }),
  ...more,
});
const wool = (id: string, sample = false) => ({
  ...newWool({ id, name: id, fibre: '', form: 'batt' as const, colour: '#aabbcc', now: NOW }),
  sample,
});
const roll = (id: string, pieceId = 'p1') => ({
  id,
  pieceId,
  at: NOW,
  act: { kind: 'roll', face: 1, directionDeg: 0, rolls: 30, cushion: 'bubble', pressure: 'arms' } as const,
});
const entry = (id: string, seq: number, pieceId = 'p1'): Entry => ({
  kind: 'entry',
  version: ENTRY_VERSION,
  seq,
  ...roll(id, pieceId),
});

const ADAPTERS: ReadonlyArray<readonly [string, () => Promise<Store>]> = [
  ['memory', async () => memoryStore(clock)],
  ['idb', () => idbStore({ name: freshName(), clock })],
];

describe.each(ADAPTERS)('the store, %s', (_, make) => {
  const opened: Store[] = [];
  const open = async (): Promise<Store> => {
    const store = await make();
    opened.push(store);
    return store;
  };
  afterEach(() => {
    for (const store of opened.splice(0)) store.close();
  });

  it('gives back what was put in', async () => {
    const store = await open();
    await store.addPiece(piece('p1'));
    await store.addWool(wool('w1'));
    expect(await store.piece('p1')).toEqual(piece('p1'));
    expect(await store.piece('p2')).toBeNull();
    expect(await store.wools()).toEqual([wool('w1')]);
  });

  it('changes the stored record, and counts its revisions', async () => {
    const store = await open();
    await store.addPiece(piece('p1'));
    await Promise.all([
      store.updatePiece('p1', p => ({ ...p, name: 'A' })),
      store.updatePiece('p1', p => ({ ...p, notes: 'b' })),
    ]);
    expect(await store.piece('p1')).toMatchObject({ name: 'A', notes: 'b', revision: 3, updatedAt: LATER });
    expect(await store.updatePiece('gone', p => p)).toBeNull();
  });

  it('refuses to write what could not be read again, and keeps what was there', async () => {
    const store = await open();
    await store.addPiece(piece('p1'));
    await expect(store.addPiece(piece('has a space'))).rejects.toThrow('piece.id');
    await expect(store.updatePiece('p1', p => ({ ...p, name: '' }))).rejects.toThrow('piece.name');
    await expect(store.addWool({ ...wool('w1'), colour: 'mauve' })).rejects.toThrow('wool.colour');
    expect(await store.pieces()).toEqual([piece('p1')]);
    expect(await store.wools()).toEqual([]);
  });

  it('leaves the revision alone when nothing changed', async () => {
    const store = await open();
    await store.addPiece(piece('p1'));
    await store.updatePiece('p1', p => p);
    expect((await store.piece('p1'))?.revision).toBe(1);
  });

  it('keeps swatches, changes them, and clears them with their wool', async () => {
    const store = await open();
    await store.addWool(wool('w1', true));
    await store.addSwatch(newSwatch({ id: 's1', woolId: 'w1', now: NOW }));
    await store.updateSwatch('s1', s => ({ ...s, laid: { ...s.laid, grams: 12 } }));
    expect(await store.swatches()).toMatchObject([
      { id: 's1', laid: { grams: 12, along: 200 }, revision: 2 },
    ]);
    expect((await store.snapshot()).swatches).toHaveLength(1);
    await store.clear('sample');
    expect(await store.swatches()).toEqual([]);
    const file = {
      pieces: [],
      wools: [wool('w1')],
      swatches: [newSwatch({ id: 's1', woolId: 'w1', now: NOW })],
      recipes: [],
    };
    expect(await store.merge({ ...file, entries: [] })).toMatchObject({ added: 2, kept: 0 });
    expect(await store.merge({ ...file, entries: [] })).toMatchObject({ added: 0, kept: 2 });
  });

  it('keeps the recipes of the maker, changes them, and clears those of the sample', async () => {
    const store = await open();
    const own = newRecipe({ id: 'r1', name: 'Ours', steps: [{ id: 's1', act: 'rub', count: 40 }] }, NOW);
    await store.addRecipe(own);
    await store.addRecipe({ ...own, id: 'r2', sample: true });
    await store.updateRecipe('r1', r => ({ ...r, name: 'Ours, longer' }));
    await expect(store.updateRecipe('r1', r => ({ ...r, name: '' }))).rejects.toThrow('recipe.name');
    await store.clear('sample');
    expect(await store.recipes()).toMatchObject([{ id: 'r1', name: 'Ours, longer', revision: 2 }]);
    const { recipes } = await store.snapshot();
    await store.clear('all');
    expect(await store.recipes()).toEqual([]);
    const file = { pieces: [], wools: [], swatches: [], recipes, entries: [] };
    expect(await store.merge(file)).toMatchObject({ added: 1, kept: 0 });
    expect(await store.merge(file)).toMatchObject({ added: 0, kept: 1 });
    expect(await store.recipes()).toEqual(recipes);
  });

  it('reads the logs of all pieces at once', async () => {
    const store = await open();
    await store.append(roll('e1', 'p1'));
    await store.append(roll('e2', 'p2'));
    expect((await store.allEntries()).map(e => e.id).toSorted()).toEqual(['e1', 'e2']);
  });

  it('numbers the entries of each piece from 1, without a gap, even when many come at once', async () => {
    const store = await open();
    await Promise.all(Array.from({ length: 25 }, (__, i) => store.append(roll(`e${i}`))));
    await store.append(roll('other', 'p2'));
    const log = await store.entries('p1');
    expect(log.map(e => e.seq)).toEqual(Array.from({ length: 25 }, (__, i) => i + 1));
    expect((await store.entries('p2')).map(e => e.seq)).toEqual([1]);
  });

  it('appends an entry once, however often it is sent', async () => {
    const store = await open();
    const first = await store.append(roll('e1'));
    const again = await store.append(roll('e1'));
    expect(again).toEqual(first);
    expect(await store.entries('p1')).toHaveLength(1);
  });

  it('merges: adds what is new, replaces only by the newer, joins logs', async () => {
    const store = await open();
    await store.addPiece(piece('p1', { revision: 5, name: 'mine' }));
    await store.addPiece(piece('p2', { revision: 1 }));
    await store.append(roll('e1'));
    const report = await store.merge({
      pieces: [
        piece('p1', { revision: 2, name: 'older' }),
        piece('p2', { revision: 3, name: 'newer' }),
        piece('p3'),
      ],
      wools: [wool('w1')],
      swatches: [],
      recipes: [],
      entries: [entry('e1', 1), entry('x1', 1), entry('x2', 2)],
    });
    expect(report).toEqual({ added: 2, replaced: 1, kept: 1, entriesAdded: 2 });
    expect((await store.piece('p1'))?.name).toBe('mine');
    expect((await store.piece('p2'))?.name).toBe('newer');
    const log = await store.entries('p1');
    expect(log.map(e => e.id)).toEqual(['e1', 'x2', 'x1']);
    expect(new Set(log.map(e => e.seq)).size).toBe(3);
  });

  it('merging the same twice changes nothing', async () => {
    const store = await open();
    const snapshot = {
      pieces: [piece('p1')],
      wools: [wool('w1')],
      swatches: [],
      recipes: [],
      entries: [entry('e1', 1), entry('e2', 2)],
    };
    await store.merge(snapshot);
    const once = await store.snapshot();
    expect(await store.merge(snapshot)).toEqual({ added: 0, replaced: 0, kept: 2, entriesAdded: 0 });
    expect(await store.snapshot()).toEqual(once);
  });

  it('clears the sample and leaves one’s own, with the wool it uses', async () => {
    const store = await open();
    await store.addPiece(piece('s1', { sample: true }));
    await store.addPiece(piece('p1', { woolId: 'used' }));
    for (const w of [wool('used', true), wool('unused', true), wool('own')]) await store.addWool(w);
    await store.append(roll('e1', 's1'));
    await store.append(roll('e2', 'p1'));
    await store.clear('sample');
    expect((await store.pieces()).map(p => p.id)).toEqual(['p1']);
    expect((await store.wools()).map(w => w.id).toSorted()).toEqual(['own', 'used']);
    expect((await store.snapshot()).entries.map(e => e.id)).toEqual(['e2']);
  });

  it('tells its listeners, until they leave', async () => {
    const store = await open();
    const heard: StoreChange[] = [];
    const leave = store.subscribe(change => heard.push(change));
    await store.addPiece(piece('p1'));
    await store.append(roll('e1'));
    leave();
    await store.append(roll('e2'));
    expect(heard).toEqual([
      { what: 'pieces', pieceId: 'p1' },
      { what: 'entries', pieceId: 'p1' },
    ]);
  });

  it('keeps settings', async () => {
    const store = await open();
    await store.updateSettings(s => ({ ...s, units: 'imperial', setOfRolls: 50 }));
    expect(await store.settings()).toMatchObject({ units: 'imperial', setOfRolls: 50, theme: 'system' });
  });
});

describe('the browser’s database', () => {
  it('holds what was written when it is opened again', async () => {
    const name = freshName();
    const first = await idbStore({ name, clock });
    await first.addPiece(piece('p1'));
    await first.append(roll('e1'));
    first.close();
    const second = await idbStore({ name, clock });
    expect(await second.entries('p1')).toHaveLength(1);
    expect((await second.pieces())[0]?.name).toBe('Piece p1');
    second.close();
  });

  it('leaves a damaged record where it is, and says so', async () => {
    const name = freshName();
    const store = await idbStore({ name, clock });
    await store.addPiece(piece('p1'));
    const raw = await openDB(name);
    await raw.put('pieces', { ...piece('p2'), plan: { form: 7 } });
    await raw.put('pieces', { ...piece('p3'), version: 99 });
    expect((await store.pieces()).map(p => p.id)).toEqual(['p1']);
    expect(store.problems().map(p => p.code)).toContain('RECORD_NEWER');
    expect(await store.updatePiece('p3', p => ({ ...p, name: 'overwritten' }))).toBeNull();
    const file = {
      pieces: [piece('p3', { revision: 50, name: 'from a file' })],
      wools: [],
      swatches: [],
      recipes: [],
      entries: [],
    };
    expect(await store.merge(file)).toMatchObject({ added: 0, replaced: 0, kept: 1 });
    expect(await raw.get('pieces', 'p3')).toMatchObject({ version: 99, name: 'Piece p3' });
    raw.close();
    store.close();
  });

  it('brings a database from before there were recipes up to date, with all that is in it', async () => {
    const name = freshName();
    const before = await openDB(name, 2, {
      upgrade: db => {
        for (const kept of ['pieces', 'wools', 'swatches']) db.createObjectStore(kept, { keyPath: 'id' });
        db.createObjectStore('entries', { keyPath: 'id' }).createIndex('pieceId', 'pieceId');
        db.createObjectStore('settings');
      },
    });
    await before.put('pieces', piece('p1'));
    before.close();
    const store = await idbStore({ name, clock });
    expect(await store.pieces()).toEqual([piece('p1')]);
    await store.addRecipe(newRecipe({ id: 'r1', name: 'Ours', steps: [] }, NOW));
    expect(await store.recipes()).toHaveLength(1);
    store.close();
  });

  it('steps aside when a newer program changes the shape of the data', async () => {
    const name = freshName();
    let told = false;
    const old = await idbStore({ name, clock, onOutdated: () => (told = true) });
    const newer = await openDB(name, 99);
    expect(told).toBe(true);
    await expect(old.addPiece(piece('p1'))).rejects.toThrow();
    newer.close();
    old.close();
  });
});
