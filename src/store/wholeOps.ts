import { isObject } from '../records/migrate';
import { entrySpec, LOG_TABLE } from '../records/entry';
import type { StoredRecord } from '../records/common';
import { pieceKind } from '../records/piece';
import type { Kind } from '../records/kind';
import { readLineage, stampOf, withStamps } from '../records/lineage';
import { recordKey } from '../records/register';
import type { Snapshot, Unread } from '../records/snapshot';
import type { Attachment } from '../records/attachment';
import { namedAttachments } from './attachments';
import type { Tables } from './backend';
import { type Batch, isEmptyBatch } from './batch';
import { storable } from './reader';
import type { StoreParts } from './recordOps';
import type { Store } from './store';
import { dropSummary } from './dropSummary';
import { summariesIn } from './summaryOps';
import { ATTACHMENTS_TABLE, LINEAGE, META_TABLE, SUMMARIES_TABLE } from './tables';

type Kinds = ReadonlyArray<Kind<StoredRecord>>;

/** What could not be named yet is kept so long. */
const GRACE_MS = 24 * 3_600_000;

/** Records of some kinds, without logs. */
const readRecords = async ({ reader }: StoreParts, kinds: Kinds, tables: Tables): Promise<Snapshot> => {
  const raws = await Promise.all(kinds.map(k => tables.all(k.table)));
  return reader.snapshot(new Map(kinds.map((k, i) => [k.table, raws[i] ?? []])));
};

const readAll = async ({ reader }: StoreParts, kinds: Kinds, tables: Tables): Promise<Snapshot> => {
  const names = [...kinds.map(k => k.table), LOG_TABLE];
  const raws = await Promise.all(names.map(name => tables.all(name)));
  const lineage = readLineage(await tables.get(META_TABLE, LINEAGE));
  const all = reader.snapshot(new Map(names.map((name, i) => [name, raws[i] ?? []])));
  return Object.keys(lineage).length === 0 ? all : { ...all, lineage };
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

/** The pieces of which something is written or taken away. */
const piecesTouched = async (tables: Tables, batch: Batch): Promise<ReadonlySet<string>> => {
  const ids = new Set([
    ...[...batch.put, ...batch.remove].filter(pieceKind.is).map(p => p.id),
    ...batch.entries.map(e => e.pieceId),
  ]);
  const others = [...batch.removeUnread, ...batch.unread].map(u => u.raw);
  for (const id of batch.removeEntries) others.push(await tables.get(LOG_TABLE, id));
  for (const raw of others)
    for (const field of ['id', 'pieceId']) {
      const id = isObject(raw) ? raw[field] : null;
      if (typeof id === 'string') ids.add(id);
    }
  return ids;
};

const write = async (kinds: Kinds, tables: Tables, batch: Batch): Promise<void> => {
  for (const id of await piecesTouched(tables, batch)) await dropSummary(tables, id);
  for (const record of batch.remove) await tables.remove(tableOf(kinds, record).table, record.id);
  for (const id of batch.removeEntries) await tables.remove(LOG_TABLE, id);
  for (const record of batch.put) {
    const kind = tableOf(kinds, record);
    await tables.put(kind.table, storable(kind, record));
  }
  for (const entry of batch.entries) await tables.put(LOG_TABLE, storable(entrySpec, entry));
  if (batch.lineage) await tables.put(META_TABLE, batch.lineage, LINEAGE);
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
export const wholeOps = (
  parts: StoreParts,
  kinds: Kinds,
): Pick<Store, 'snapshot' | 'transact' | 'look' | 'isEmpty' | 'noteSent'> => {
  const names = [...kinds.map(k => k.table), LOG_TABLE, META_TABLE];
  return {
    noteSent: records =>
      parts.backend.run([META_TABLE], 'readwrite', async t => {
        const lineage = readLineage(await t.get(META_TABLE, LINEAGE));
        await t.put(
          META_TABLE,
          withStamps(
            lineage,
            records.map(r => [recordKey(r), [stampOf(r)]]),
          ),
          LINEAGE,
        );
      }),
    snapshot: () => parts.backend.run(names, 'readonly', t => readAll(parts, kinds, t)),
    isEmpty: () =>
      parts.backend.run(names, 'readonly', async t => {
        const keys = await Promise.all(kinds.map(k => t.keys(k.table)));
        return keys.every(k => k.length === 0);
      }),
    look: () =>
      parts.backend.run([...names, SUMMARIES_TABLE], 'readonly', async t => {
        const others = await readRecords(
          parts,
          kinds.filter(k => k.table !== pieceKind.table),
          t,
        );
        const { kept, missing } = await summariesIn(t);
        const raws = await Promise.all(missing.map(id => t.get(pieceKind.table, id)));
        const known = [...others.records, ...raws.filter(isObject)];
        const deleted = [...kept, ...known].flatMap(({ deletedAt }) =>
          typeof deletedAt === 'string' ? [deletedAt] : [],
        );
        return {
          hasOwn: kept.some(s => !s.isUntouched) || known.some(r => r.sample !== true || r.revision !== 1),
          firstDeletedAt: deleted.reduce<string | null>((a, b) => (a === null || b < a ? b : a), null),
        };
      }),
    transact: async plan => {
      const { batch, result } = await parts.backend.run([...names, SUMMARIES_TABLE], 'readwrite', async t => {
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

/** What is named by all that is there: of pieces their summaries say it, where each has one. */
const namesIn = async (parts: StoreParts, kinds: Kinds, tables: Tables): Promise<ReadonlySet<string>> => {
  const { kept, missing } = await summariesIn(tables);
  if (missing.length > 0) return new Set(namedAttachments(await readAll(parts, kinds, tables), kinds).keys());
  const others = await readRecords(
    parts,
    kinds.filter(k => k.table !== pieceKind.table),
    tables,
  );
  return new Set([...namedAttachments(others, kinds).keys(), ...kept.flatMap(s => s.attachments)]);
};

/** Files that records name by their hash: kept once, and swept when nothing names them. */
export const attachmentOps = (
  parts: StoreParts,
  kinds: Kinds,
): Pick<Store, 'attach' | 'attachment' | 'attachmentHashes' | 'sweep'> => {
  const { backend, clock } = parts;
  const only = [ATTACHMENTS_TABLE];
  return {
    attach: async (bytes, type) => {
      const { hashOf } = await import('../core/hashOf');
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
      backend.run(
        [...kinds.map(k => k.table), LOG_TABLE, META_TABLE, ATTACHMENTS_TABLE, SUMMARIES_TABLE],
        'readwrite',
        async t => {
          const hashes = await t.keys(ATTACHMENTS_TABLE);
          if (hashes.length === 0) return 0;
          const named = await namesIn(parts, kinds, t);
          const before = Date.parse(clock()) - GRACE_MS;
          let swept = 0;
          for (const hash of hashes) {
            if (named.has(hash)) continue;
            const raw = await t.get(ATTACHMENTS_TABLE, hash);
            if (isAttachment(raw) && Date.parse(raw.at) > before) continue;
            await t.remove(ATTACHMENTS_TABLE, hash);
            swept += 1;
          }
          return swept;
        },
      ),
  };
};
