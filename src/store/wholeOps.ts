import { hashOf } from '../core/hashOf';
import { isObject } from '../records/migrate';
import { entrySpec, LOG_TABLE } from '../records/entry';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import type { Snapshot, Unread } from '../records/snapshot';
import type { Attachment } from '../records/attachment';
import { namedAttachments } from './attachments';
import type { Tables } from './backend';
import { type Batch, isEmptyBatch } from './batch';
import { storable } from './reader';
import type { StoreParts } from './recordOps';
import type { Store } from './store';
import { ATTACHMENTS_TABLE } from './tables';

type Kinds = ReadonlyArray<Kind<StoredRecord>>;

/** What could not be named yet is kept so long. */
const GRACE_MS = 24 * 3_600_000;

const readAll = async ({ reader }: StoreParts, kinds: Kinds, tables: Tables): Promise<Snapshot> => {
  const names = [...kinds.map(k => k.table), LOG_TABLE];
  const raws = await Promise.all(names.map(name => tables.all(name)));
  return reader.snapshot(new Map(names.map((name, i) => [name, raws[i] ?? []])));
};

const tableOf = (kinds: Kinds, record: StoredRecord): Kind<StoredRecord> => {
  const kind = kinds.find(k => k.is(record));
  if (!kind) throw new Error(`No kind of record is called ${record.kind}.`);
  return kind;
};

/** The table and id of a record that cannot be read, where it has them and the table is known. */
const placeOf = (kinds: Kinds, { table, raw }: Unread): { table: string; id: string; raw: object } | null => {
  const isTable = table === LOG_TABLE || kinds.some(k => k.table === table);
  return isTable && isObject(raw) && typeof raw['id'] === 'string' ? { table, id: raw['id'], raw } : null;
};

const write = async (kinds: Kinds, tables: Tables, batch: Batch): Promise<void> => {
  for (const record of batch.remove) await tables.remove(tableOf(kinds, record).table, record.id);
  for (const id of batch.removeEntries) await tables.remove(LOG_TABLE, id);
  for (const record of batch.put) {
    const kind = tableOf(kinds, record);
    await tables.put(kind.table, storable(kind, record));
  }
  for (const entry of batch.entries) await tables.put(LOG_TABLE, storable(entrySpec, entry));
  for (const unread of batch.removeUnread) {
    const place = placeOf(kinds, unread);
    if (place) await tables.remove(place.table, place.id);
  }
  for (const unread of batch.unread) {
    const place = placeOf(kinds, unread);
    if (place && (await tables.get(place.table, place.id)) === undefined)
      await tables.put(place.table, place.raw);
  }
};

/** The whole of a workshop: read, and changed in many places at once. */
export const wholeOps = (parts: StoreParts, kinds: Kinds): Pick<Store, 'snapshot' | 'transact'> => {
  const names = [...kinds.map(k => k.table), LOG_TABLE];
  return {
    snapshot: () => parts.backend.run(names, 'readonly', t => readAll(parts, kinds, t)),
    transact: async plan => {
      const { batch, result } = await parts.backend.run(names, 'readwrite', async t => {
        const planned = plan(await readAll(parts, kinds, t));
        await write(kinds, t, planned.batch);
        return planned;
      });
      if (!isEmptyBatch(batch)) parts.tell({ table: 'all' });
      return result;
    },
  };
};

const isAttachment = (raw: unknown): raw is Attachment =>
  isObject(raw) &&
  typeof raw['hash'] === 'string' &&
  typeof raw['type'] === 'string' &&
  typeof raw['at'] === 'string' &&
  raw['bytes'] instanceof Uint8Array;

/** Files that records name by their hash: kept once, and swept when nothing names them. */
export const attachmentOps = (
  parts: StoreParts,
  kinds: Kinds,
): Pick<Store, 'attach' | 'attachment' | 'attachmentHashes' | 'sweep'> => {
  const { backend, clock } = parts;
  const only = [ATTACHMENTS_TABLE];
  return {
    attach: async (bytes, type) => {
      const hash = hashOf(bytes);
      await backend.run(only, 'readwrite', async t => {
        if ((await t.get(ATTACHMENTS_TABLE, hash)) === undefined)
          await t.put(ATTACHMENTS_TABLE, { hash, type, bytes, at: clock() } satisfies Attachment);
      });
      return hash;
    },
    attachment: async hash => {
      const raw = await backend.run(only, 'readonly', t => t.get(ATTACHMENTS_TABLE, hash));
      return isAttachment(raw) ? raw : null;
    },
    attachmentHashes: () => backend.run(only, 'readonly', t => t.keys(ATTACHMENTS_TABLE)),
    sweep: () =>
      backend.run([...kinds.map(k => k.table), LOG_TABLE, ATTACHMENTS_TABLE], 'readwrite', async t => {
        const named = namedAttachments(await readAll(parts, kinds, t), kinds);
        const before = Date.parse(clock()) - GRACE_MS;
        let swept = 0;
        for (const hash of await t.keys(ATTACHMENTS_TABLE)) {
          if (named.has(hash)) continue;
          const raw = await t.get(ATTACHMENTS_TABLE, hash);
          if (isAttachment(raw) && Date.parse(raw.at) > before) continue;
          await t.remove(ATTACHMENTS_TABLE, hash);
          swept += 1;
        }
        return swept;
      }),
  };
};
