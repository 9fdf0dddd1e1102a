import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { readWorkshop } from '../files/readWorkshop';
import { writeWorkshop } from '../files/writeWorkshop';
import { fresh, Hash, Id, kept } from '../records/common';
import { defineKind } from '../records/kind';
import type { Kind } from '../records/kind';
import { pieceKind } from '../records/piece';
import { aPiece, aSnapshot, aWool, LATER, NOW } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { NO_BATCH } from '../store/batch';
import { planClearing } from '../store/clearing';
import { idbStore, memoryStore } from '../store/makeStore';
import { planImport } from '../store/importing';
import type { Store } from '../store/store';
import { planTakeBack } from '../store/takeBack';
import { addRecord, changeRecord } from './changes';
import { memoryNotes } from './notes';
import { aWorkshop } from './testing/open';

/** All that a newcomer has to say of itself: a jar of buttons, in one file. */
const jar = vi.hoisted(() => ({ kind: null as unknown }));
const JarSchema = z.object({
  kind: z.literal('jar'),
  version: z.literal(2),
  ...kept,
  label: z.string().min(1),
  holds: z.object({ buttons: z.number().int().min(0), colour: z.string() }),
  woolId: Id.nullable(),
  picture: Hash.nullable(),
});
type Jar = z.infer<typeof JarSchema>;
const jarKind: Kind<Jar> = defineKind<Jar>({
  kind: 'jar',
  table: 'jars',
  since: 7,
  schema: JarSchema,
  migrations: [
    {
      version: 2,
      name: 'PutButtonsIntoHolds',
      up: ({ buttons, ...rest }) => ({ ...rest, holds: { buttons, colour: 'any' }, picture: null }),
    },
  ],
  nameOf: j => j.label,
  refersTo: j => (j.woolId === null ? [] : [{ kind: 'wool', id: j.woolId, path: 'woolId' }]),
  attachments: j => (j.picture === null ? [] : [j.picture]),
});

// One line in the list of kinds.
vi.mock('../records/kinds', async original => {
  const { KINDS } = await original<typeof import('../records/kinds')>();
  return {
    get KINDS() {
      return jar.kind ? [...KINDS, jar.kind] : KINDS;
    },
  };
});
jar.kind = jarKind;

const aJar = (id: string, more: Partial<Jar> = {}): Jar => ({
  kind: 'jar',
  version: 2,
  ...fresh(id, NOW),
  label: `Jar ${id}`,
  holds: { buttons: 12, colour: 'bone' },
  woolId: null,
  picture: null,
  ...more,
});

let names = 0;
const STORES: ReadonlyArray<readonly [string, () => Promise<Store>]> = [
  ['memory', async () => memoryStore(() => LATER)],
  ['idb', () => idbStore({ name: `jars-${(names += 1)}`, clock: () => LATER })],
];

describe.each(STORES)('a made-up kind of record, %s store', (_, make) => {
  const tabs = async (of: Store) => {
    const notes = memoryNotes();
    const tab = aWorkshop({ store: of, notes });
    await addRecord(tab, jarKind, aJar('j1'));
    await tab.client.fetchQuery(tab.cache.one(jarKind, 'j1'));
    return { tab, notes };
  };
  const fill =
    (buttons: number) =>
    (j: Jar): Jar => ({ ...j, holds: { ...j.holds, buttons } });

  it('is kept, read, changed, and refused where it is no good', async () => {
    const store = await make();
    const { tab } = await tabs(store);
    await changeRecord(tab, jarKind, { id: 'j1', change: fill(30), told: { label: 'count' } });
    expect(await store.get(jarKind, 'j1')).toMatchObject({ holds: { buttons: 30 }, revision: 2 });
    await expect(store.add(jarKind, aJar('j2', { label: '' }))).rejects.toThrow('jar.label');
    expect(await store.all(jarKind)).toHaveLength(1);
    store.close();
  });

  it('is undone figure by figure, and noted ahead', async () => {
    const store = await make();
    const { tab, notes } = await tabs(store);
    await changeRecord(tab, jarKind, { id: 'j1', change: fill(30), told: { label: 'count' } });
    await store.update(jarKind, 'j1', j => ({ ...j, holds: { ...j.holds, colour: 'horn' } }));
    expect(await tab.history.undo()).toEqual({ label: 'count', overtaken: 0 });
    expect((await store.get(jarKind, 'j1'))?.holds).toEqual({ buttons: 12, colour: 'horn' });
    expect(await tab.history.undo()).toEqual({ label: 'new: Jar j1', overtaken: 0 });
    expect((await store.get(jarKind, 'j1'))?.deletedAt).not.toBeNull();
    const revision = (await store.get(jarKind, 'j1'))?.revision ?? 0;
    tab.journal.note('jar', { id: 'j1', revision }, { label: 'noted' });
    await aWorkshop({ store, notes, tab: 'next' }).journal.replay(store, () => false);
    expect((await store.get(jarKind, 'j1'))?.label).toBe('noted');
    store.close();
  });

  it('goes out to a file, comes in, is merged by its revision, and taken back', async () => {
    const store = await make();
    await store.add(jarKind, aJar('j1', { revision: 3, label: 'mine' }));
    const file = writeWorkshop({
      snapshot: aSnapshot([
        aJar('j1', { label: 'older' }),
        aJar('j2', { woolId: 'w1' }),
        aWool('w1'),
        aPiece('p1'),
      ]),
      attachments: [],
      exportedAt: NOW,
    });
    const read = file.ok ? readWorkshop(file.value.bytes, NOW) : file;
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const report = await store.transact(planImport(read.value.snapshot, LATER));
    expect(report).toMatchObject({ added: 3, replaced: 0, kept: 1 });
    expect((await store.all(jarKind)).map(j => j.label).toSorted()).toEqual(['Jar j2', 'mine']);
    await store.transact(planTakeBack(report.changed, LATER));
    expect((await store.get(jarKind, 'j2'))?.deletedAt).toBe(LATER);
    store.close();
  });

  it('holds on to what it refers to, and to its picture', async () => {
    let now = NOW;
    const store = await make();
    const keeper = memoryStore(() => now);
    const picture = await keeper.attach(new Uint8Array([1, 2, 3]), 'image/png');
    await keeper.attach(new Uint8Array([9]), 'image/png');
    await keeper.add(jarKind, aJar('j1', { picture }));
    now = '2026-04-01T10:00:00.000Z';
    expect(await keeper.sweep()).toBe(1);
    expect(await keeper.attachmentHashes()).toEqual([picture]);
    await store.transact(() => ({
      batch: {
        ...NO_BATCH,
        put: [aWool('w1', { sample: true }), aWool('w2', { sample: true }), aJar('j1', { woolId: 'w1' })],
      },
      result: null,
    }));
    await store.transact(planClearing);
    expect((await store.all(woolKind)).map(w => w.id)).toEqual(['w1']);
    store.close();
  });
});

describe('a database from before there was the kind', () => {
  it('gets its table, with all that is in it as it was; what was of the first version is brought up to date', async () => {
    const name = 'before-jars';
    const before = await openDB(name, 4, {
      upgrade: db => {
        for (const table of ['pieces', 'wools', 'swatches', 'recipes'])
          db.createObjectStore(table, { keyPath: 'id' });
        db.createObjectStore('entries', { keyPath: 'id' }).createIndex('pieceId', 'pieceId');
        for (const table of ['settings', 'meta']) db.createObjectStore(table);
        db.createObjectStore('attachments', { keyPath: 'hash' });
      },
    });
    await before.put('pieces', aPiece('p1'));
    before.close();
    const store = await idbStore({ name, clock: () => LATER });
    expect(await store.all(pieceKind)).toEqual([aPiece('p1')]);
    expect(await store.all(jarKind)).toEqual([]);
    store.close();
    const raw = await openDB(name);
    expect(raw.version).toBe(7);
    const { holds: _h, picture: _p, ...first } = aJar('j1');
    await raw.put('jars', { ...first, version: 1, buttons: 40 });
    raw.close();
    const again = await idbStore({ name, clock: () => LATER });
    expect(await again.get(jarKind, 'j1')).toMatchObject({
      version: 2,
      holds: { buttons: 40, colour: 'any' },
    });
    again.close();
  });
});
