import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Issue } from '../core/issues';
import { ENTRY_VERSION, type Entry, entrySpec } from '../records/entry';
import { loadRecord, type RecordSpec } from '../records/migrate';
import { type Piece, pieceSpec, woolsOf } from '../records/piece';
import { type OwnRecipe, recipeSpec } from '../records/recipe';
import { DEFAULT_SETTINGS, settingsSpec } from '../records/settings';
import type { Snapshot } from '../records/snapshot';
import { type Swatch, swatchSpec } from '../records/swatch';
import { type Wool, woolSpec } from '../records/wool';
import { listeners } from './listeners';
import { mergePlan } from './mergePlan';
import type { Store, StoreChange } from './store';
import { sound } from './sound';
import { touched } from './touched';

/** Raw records as the browser holds them: they are checked and brought up to date each time they are read. */
interface Schema extends DBSchema {
  pieces: { key: string; value: unknown };
  wools: { key: string; value: unknown };
  swatches: { key: string; value: unknown };
  recipes: { key: string; value: unknown };
  entries: { key: string; value: unknown; indexes: { pieceId: string } };
  settings: { key: string; value: unknown };
}

/** 2 added the swatches, 3 the recipes. */
const DB_VERSION = 3;
const RECORD_STORES = ['pieces', 'wools', 'swatches', 'recipes', 'entries'] as const;
const STORES = [...RECORD_STORES, 'settings'] as const;
type StoreName = (typeof STORES)[number];
/** Stores of records that are changed in place. */
type KeptStore = 'pieces' | 'wools' | 'swatches' | 'recipes';
type KeptRecord = Piece | Wool | Swatch | OwnRecipe;

const open = async (name: string, onOutdated: () => void): Promise<IDBPDatabase<Schema>> => {
  const db = await openDB<Schema>(name, DB_VERSION, {
    upgrade: (fresh, from) => {
      if (from < 1) {
        fresh.createObjectStore('pieces', { keyPath: 'id' });
        fresh.createObjectStore('wools', { keyPath: 'id' });
        fresh.createObjectStore('entries', { keyPath: 'id' }).createIndex('pieceId', 'pieceId');
        fresh.createObjectStore('settings');
      }
      if (from < 2) fresh.createObjectStore('swatches', { keyPath: 'id' });
      if (from < 3) fresh.createObjectStore('recipes', { keyPath: 'id' });
    },
    blocking: () => {
      // A newer tab wants to change the shape of the data: this older one steps aside and never writes again.
      db.close();
      onOutdated();
    },
  });
  return db;
};

/** A sample wool that a felter's own piece uses stays when the sample is cleared. */
const goesWithSample = (wool: Wool, staying: readonly Piece[]): boolean =>
  wool.sample && !staying.some(p => woolsOf(p).has(wool.id));

/**
 * The store in the browser's own database. Writes ask for strict durability: an acknowledged entry survives the tab.
 * @param onOutdated told when a newer version of the program has taken the data over in another tab
 */
export const idbStore = async (options: {
  readonly name: string;
  readonly clock: () => string;
  readonly onOutdated?: () => void;
}): Promise<Store> => {
  const { clock } = options;
  const db = await open(options.name, options.onOutdated ?? (() => undefined));
  const { subscribe, tell: tellHere } = listeners();
  const channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`${options.name}-changes`);
  if (channel) channel.onmessage = (event: MessageEvent<StoreChange>) => tellHere(event.data);
  const tell = (change: StoreChange): void => {
    tellHere(change);
    channel?.postMessage(change);
  };
  const problems = new Map<string, Issue>();

  const good = <T>(spec: RecordSpec<T>, raw: readonly unknown[]): T[] =>
    raw.flatMap((record, i) => {
      const loaded = loadRecord(spec, record, `${spec.kind}[${i}]`);
      if (loaded.status === 'ok') return [loaded.value];
      for (const it of loaded.issues) problems.set(it.path, it);
      return [];
    });
  const one = <T>(spec: RecordSpec<T>, raw: unknown): T | null =>
    raw === undefined ? null : (good(spec, [raw])[0] ?? null);
  const write = (stores: readonly StoreName[]) =>
    db.transaction(stores, 'readwrite', { durability: 'strict' });

  const add = async <T extends KeptRecord>(
    store: KeptStore,
    spec: RecordSpec<T>,
    record: T,
  ): Promise<void> => {
    sound(spec, record);
    const tx = write([store]);
    await Promise.all([tx.objectStore(store).put(record), tx.done]);
    tell({ what: store, ...(store === 'pieces' ? { pieceId: record.id } : {}) });
  };
  const update = async <T extends KeptRecord>(
    store: KeptStore,
    spec: RecordSpec<T>,
    { id, change }: { id: string; change: (record: T) => T },
  ): Promise<T | null> => {
    const tx = write([store]);
    const before = one(spec, await tx.objectStore(store).get(id));
    const after = before === null ? null : sound(spec, touched(before, change(before), clock()));
    if (after !== null && after !== before) await tx.objectStore(store).put(after);
    await tx.done;
    if (after !== before) tell({ what: store, ...(store === 'pieces' ? { pieceId: id } : {}) });
    return after;
  };
  /** All raw records, in the order of their stores, as a snapshot. */
  const everything = ([
    pieces = [],
    wools = [],
    swatches = [],
    recipes = [],
    entries = [],
  ]: readonly unknown[][]): Snapshot => ({
    pieces: good(pieceSpec, pieces),
    wools: good(woolSpec, wools),
    swatches: good(swatchSpec, swatches),
    recipes: good(recipeSpec, recipes),
    entries: good(entrySpec, entries),
  });
  const inLogOrder = (entries: Entry[]): Entry[] =>
    entries.toSorted((a, b) => a.seq - b.seq || a.id.localeCompare(b.id));

  return {
    pieces: async () => good(pieceSpec, await db.getAll('pieces')),
    piece: async id => one(pieceSpec, await db.get('pieces', id)),
    addPiece: piece => add('pieces', pieceSpec, piece),
    updatePiece: (id, change) => update('pieces', pieceSpec, { id, change }),
    wools: async () => good(woolSpec, await db.getAll('wools')),
    addWool: wool => add('wools', woolSpec, wool),
    updateWool: (id, change) => update('wools', woolSpec, { id, change }),
    swatches: async () => good(swatchSpec, await db.getAll('swatches')),
    addSwatch: swatch => add('swatches', swatchSpec, swatch),
    updateSwatch: (id, change) => update('swatches', swatchSpec, { id, change }),
    recipes: async () => good(recipeSpec, await db.getAll('recipes')),
    addRecipe: recipe => add('recipes', recipeSpec, recipe),
    updateRecipe: (id, change) => update('recipes', recipeSpec, { id, change }),
    allEntries: async () => inLogOrder(good(entrySpec, await db.getAll('entries'))),
    entries: async pieceId =>
      inLogOrder(good(entrySpec, await db.getAllFromIndex('entries', 'pieceId', pieceId))),
    append: async fresh => {
      const tx = write(['entries']);
      const store = tx.objectStore('entries');
      const known = one(entrySpec, await store.get(fresh.id));
      const log = known ? [] : good(entrySpec, await store.index('pieceId').getAll(fresh.pieceId));
      const last = log.reduce((most, e) => Math.max(most, e.seq), 0);
      const entry: Entry = known ?? { kind: 'entry', version: ENTRY_VERSION, seq: last + 1, ...fresh };
      if (!known) await store.add(entry);
      await tx.done;
      tell({ what: 'entries', pieceId: fresh.pieceId });
      return entry;
    },
    settings: async () => one(settingsSpec, await db.get('settings', 'settings')) ?? DEFAULT_SETTINGS,
    updateSettings: async change => {
      const tx = write(['settings']);
      const after = change(
        one(settingsSpec, await tx.objectStore('settings').get('settings')) ?? DEFAULT_SETTINGS,
      );
      await tx.objectStore('settings').put(after, 'settings');
      await tx.done;
      tell({ what: 'settings' });
      return after;
    },
    snapshot: async () => {
      const tx = db.transaction(RECORD_STORES);
      return everything(await Promise.all(RECORD_STORES.map(name => tx.objectStore(name).getAll())));
    },
    merge: async incoming => {
      const tx = write(RECORD_STORES);
      const stores = RECORD_STORES.map(name => tx.objectStore(name));
      const have = everything(await Promise.all(stores.map(store => store.getAll())));
      const keys = await Promise.all(stores.map(store => store.getAllKeys()));
      const read = new Set(RECORD_STORES.flatMap(name => have[name].map(r => r.id)));
      const unread = new Set(keys.flat().filter(id => !read.has(id)));
      const plan = mergePlan(have, incoming, unread);
      await Promise.all(
        RECORD_STORES.flatMap(name => plan.write[name].map(r => tx.objectStore(name).put(r))),
      );
      await tx.done;
      tell({ what: 'all' });
      return plan.report;
    },
    clear: async which => {
      const tx = write(RECORD_STORES);
      const pieces = good(pieceSpec, await tx.objectStore('pieces').getAll());
      const going = pieces.filter(p => which === 'all' || p.sample);
      const staying = pieces.filter(p => !going.includes(p));
      const wools = good(woolSpec, await tx.objectStore('wools').getAll());
      const entries = tx.objectStore('entries');
      for (const p of going) {
        await tx.objectStore('pieces').delete(p.id);
        for (const key of await entries.index('pieceId').getAllKeys(p.id)) await entries.delete(key);
      }
      for (const w of wools)
        if (which === 'all' || goesWithSample(w, staying)) await tx.objectStore('wools').delete(w.id);
      const left = new Set(await tx.objectStore('wools').getAllKeys());
      const swatches = tx.objectStore('swatches');
      for (const s of good(swatchSpec, await swatches.getAll()))
        if (which === 'all' || !left.has(s.woolId)) await swatches.delete(s.id);
      const recipes = tx.objectStore('recipes');
      for (const r of good(recipeSpec, await recipes.getAll()))
        if (which === 'all' || r.sample) await recipes.delete(r.id);
      await tx.done;
      tell({ what: 'all' });
    },
    subscribe,
    problems: () => [...problems.values()],
    close: () => {
      channel?.close();
      db.close();
    },
  };
};
