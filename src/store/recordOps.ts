import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { pieceKind } from '../records/piece';
import { DEFAULT_SETTINGS, type Settings, settingsSpec } from '../records/settings';
import type { Backend, Tables } from './backend';
import { type Reader, storable } from './reader';
import type { Store, StoreChange } from './store';
import { dropSummary } from './dropSummary';
import { SETTINGS_TABLE, SUMMARIES_TABLE } from './tables';

/** What the parts of a store share. */
export interface StoreParts {
  readonly backend: Backend;
  readonly reader: Reader;
  readonly clock: () => string;
  readonly tell: (change: StoreChange) => void;
}

/** A changed record with its revision counted on. The same object back means nothing changed. */
const touched = <T extends StoredRecord>(before: T, after: T, now: string): T =>
  after === before ? before : { ...after, revision: before.revision + 1, updatedAt: now };

/** Tables that are written where a record of a kind is. */
const writtenWith = <T extends StoredRecord>({ table }: Kind<T>): readonly string[] =>
  table === pieceKind.table ? [table, SUMMARIES_TABLE] : [table];

const putRecord = async <T extends StoredRecord>(
  tables: Tables,
  { table }: Kind<T>,
  record: T,
): Promise<void> => {
  await tables.put(table, record);
  if (table === pieceKind.table) await dropSummary(tables, record.id);
};

/** Records of any kind: read, put in, changed in place. */
export const recordOps = ({
  backend,
  reader,
  clock,
  tell,
}: StoreParts): Pick<Store, 'all' | 'get' | 'add' | 'update'> => ({
  all: async kind => {
    const raws = await backend.run([kind.table], 'readonly', t => t.all(kind.table));
    return reader.read(kind, kind.table, raws).good;
  },
  get: async (kind, id) =>
    reader.one(kind, kind.table, await backend.run([kind.table], 'readonly', t => t.get(kind.table, id))),
  add: async (kind, record) => {
    const good = storable(kind, record);
    await backend.run(writtenWith(kind), 'readwrite', t => putRecord(t, kind, good));
    tell({ table: kind.table, record });
  },
  update: async <T extends StoredRecord>(
    kind: Kind<T>,
    id: string,
    change: (record: T) => T,
  ): Promise<T | null> => {
    const { before, after } = await backend.run(writtenWith(kind), 'readwrite', async t => {
      const was = reader.one(kind, kind.table, await t.get(kind.table, id));
      const next = was === null ? null : storable(kind, touched(was, change(was), clock()));
      if (next !== null && next !== was) await putRecord(t, kind, next);
      return { before: was, after: next };
    });
    if (after !== null && after !== before) tell({ table: kind.table, record: after });
    return after;
  },
});

const readSettings = async (reader: Reader, tables: Tables): Promise<Settings> =>
  reader.one(settingsSpec, SETTINGS_TABLE, await tables.get(SETTINGS_TABLE, SETTINGS_TABLE)) ??
  DEFAULT_SETTINGS;

/** How this browser shows and does things. */
export const settingsOps = ({
  backend,
  reader,
  tell,
}: StoreParts): Pick<Store, 'settings' | 'updateSettings'> => ({
  settings: () => backend.run([SETTINGS_TABLE], 'readonly', t => readSettings(reader, t)),
  updateSettings: async change => {
    const settings = await backend.run([SETTINGS_TABLE], 'readwrite', async t => {
      const before = await readSettings(reader, t);
      const after = storable(settingsSpec, { ...change(before), revision: before.revision + 1 });
      await t.put(SETTINGS_TABLE, after, SETTINGS_TABLE);
      return after;
    });
    tell({ table: SETTINGS_TABLE, settings });
    return settings;
  },
});
