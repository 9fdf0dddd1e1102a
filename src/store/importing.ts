import { dequal } from 'dequal';
import type { StoredRecord } from '../records/common';
import { hasGrownFrom, type Lineage, stampOf, withStamps } from '../records/lineage';
import { pieceKind } from '../records/piece';
import { kindOf, recordKey, withNeeds } from '../records/register';
import type { Snapshot } from '../records/snapshot';
import { type Batch, NO_BATCH, type PlannedBatch } from './batch';
import { joinLogs } from './joinLogs';
import { type RecordBefore, changedBy } from './takeBack';

/** How a record of a file stands to the one here. */
export type RecordComparison =
  /** It is not here. */
  | 'new'
  /** The file has a later one. */
  | 'newer'
  /** It was changed here since the file was saved. */
  | 'older'
  /** It was deleted here since the file was saved. */
  | 'deleted'
  | 'same';

/** One record of a file beside the one here. */
export interface Difference {
  readonly kind: string;
  readonly id: string;
  readonly name: string;
  readonly standing: RecordComparison;
  /** Whether it is taken unless somebody says otherwise: what is new or newer. */
  readonly usual: boolean;
  /** Entries of its log that are not here. */
  readonly entries: number;
}

const content = ({ revision: _r, updatedAt: _u, sample: _s, ...rest }: StoredRecord): object => rest;

const isNewer = (a: StoredRecord, b: StoredRecord): boolean =>
  a.revision > b.revision || (a.revision === b.revision && a.updatedAt > b.updatedAt);

const standingOf = (there: StoredRecord, here: StoredRecord | undefined): RecordComparison => {
  if (!here) return 'new';
  const areBoth = here.deletedAt !== null && there.deletedAt !== null;
  // In the bin it is in the bin, whenever it was put there.
  const asHere = areBoth ? { ...there, deletedAt: here.deletedAt } : there;
  if (dequal(content(asHere), content(here))) return 'same';
  if (here.deletedAt !== null && there.deletedAt === null) return isNewer(there, here) ? 'newer' : 'deleted';
  return isNewer(there, here) ? 'newer' : 'older';
};

const isUsual = (standing: RecordComparison): boolean => standing === 'new' || standing === 'newer';

/** Each record of a file beside the one here, in the order of the file. What cannot be read here is left out: it stays as it is. */
export const compareWithFile = (have: Snapshot, file: Snapshot): readonly Difference[] => {
  const here = new Map(have.records.map(r => [recordKey(r), r]));
  const known = new Set(have.entries.map(e => e.id));
  const fresh = new Map<string, number>();
  for (const e of file.entries) if (!known.has(e.id)) fresh.set(e.pieceId, (fresh.get(e.pieceId) ?? 0) + 1);
  return file.records
    .filter(r => !isUnreadHere(have, r.id))
    .map(record => {
      const standing = standingOf(record, here.get(recordKey(record)));
      return {
        kind: record.kind,
        id: record.id,
        name: kindOf(record)?.nameOf(record) ?? record.id,
        standing,
        usual: isUsual(standing),
        entries: pieceKind.is(record) ? (fresh.get(record.id) ?? 0) : 0,
      };
    });
};

const isUnreadHere = (have: Snapshot, id: string): boolean =>
  have.unread.some(({ raw }) => typeof raw === 'object' && raw !== null && Reflect.get(raw, 'id') === id);

/** What is to be taken of a file, by the key of a record; what is not named is taken as is usual. */
export type MergeChoice = ReadonlyMap<string, boolean>;

/** What came of reading a file in. */
export interface ImportResult {
  readonly added: number;
  readonly replaced: number;
  readonly kept: number;
  readonly entriesAdded: number;
  /** Versions that gave way to another that was changed elsewhere, and are in the bin. */
  readonly beside: number;
  /** What could not be read and was taken as it is. */
  readonly unread: number;
  /** What takes the whole reading back. */
  readonly changed: RecordBefore;
}

/**
 * The version that gives way, where both were changed apart from one another: it goes to the bin beside the other, under a name that is the same
 * on both devices, so that it is there once.
 */
const besideIt = (
  lost: StoredRecord,
  won: StoredRecord,
  { wasCarried, now }: { readonly wasCarried: boolean; readonly now: string },
): readonly StoredRecord[] => {
  // Of one that was only put into the bin, nothing gives way.
  const isSame = dequal({ ...content(lost), deletedAt: null }, { ...content(won), deletedAt: null });
  // Nor of one that no hand has changed since it was made, as the sample on each device is.
  const isUntouched = lost.revision === 1 && !wasCarried;
  if (isSame || isUntouched || (kindOf(lost)?.isAlone ?? true)) return [];
  const name: unknown = Reflect.get(lost, 'name');
  return [
    {
      ...lost,
      ...(typeof name === 'string' ? { name: `${name.slice(0, MOST_NAME)}, changed elsewhere` } : {}),
      id: `${lost.id.slice(0, MOST_ID)}-${lost.revision}-${Date.parse(lost.updatedAt).toString(36)}`,
      revision: 1,
      // From now on, or it would be cleared out of the bin before anybody saw it.
      deletedAt: now,
    },
  ];
};
const MOST_NAME = 80;
const MOST_ID = 40;

/** Of two versions of one record, whether neither has grown from the other. */
const areApart = (
  have: Snapshot,
  file: Snapshot,
  [here, there]: readonly [StoredRecord, StoredRecord],
): boolean => {
  const key = recordKey(here);
  return (
    !dequal(content(here), content(there)) &&
    !hasGrownFrom(file.lineage ?? {}, key, stampOf(here)) &&
    !hasGrownFrom(have.lineage ?? {}, key, stampOf(there))
  );
};

/** What is known of versions once a file was read: all that was known on either side, and both versions themselves. */
const lineageAfter = (have: Snapshot, file: Snapshot): Lineage => {
  const here = new Map(have.records.map(r => [recordKey(r), r]));
  return withStamps(
    have.lineage ?? {},
    file.records.map(there => {
      const key = recordKey(there);
      const own = here.get(key);
      return [key, [...(file.lineage?.[key] ?? []), ...(own ? [stampOf(own)] : []), stampOf(there)]];
    }),
  );
};

/**
 * Takes a file in: what is new is added, what is newer replaces, logs are joined; and what was chosen otherwise, as it was chosen.
 * A record that is taken over a newer one goes back to what the file holds.
 */
export const planImport =
  (file: Snapshot, now: string, choice: MergeChoice = new Map()) =>
  (have: Snapshot): PlannedBatch<ImportResult> => {
    const here = new Map(have.records.map(r => [recordKey(r), r]));
    const takes = new Set(
      compareWithFile(have, file).flatMap(d => ((choice.get(recordKey(d)) ?? d.usual) ? [recordKey(d)] : [])),
    );
    // With what is taken comes what it cannot do without and is not here.
    const there = new Map(file.records.filter(r => !here.has(recordKey(r))).map(r => [recordKey(r), r]));
    const chosen = file.records.filter(r => takes.has(recordKey(r)));
    const taken = [...withNeeds(chosen, there).values()];
    const put = taken.map(record => {
      const old = here.get(recordKey(record));
      return old && !isNewer(record, old)
        ? { ...record, revision: old.revision + 1, updatedAt: now }
        : record;
    });
    const taking = new Map(put.map(r => [recordKey(r), r]));
    const beside = file.records.flatMap(record => {
      const old = here.get(recordKey(record));
      if (!old || !areApart(have, file, [old, record])) return [];
      const key = recordKey(record);
      const won = taking.get(key);
      const wasCarried = have.lineage?.[key] !== undefined || file.lineage?.[key] !== undefined;
      const of = { wasCarried, now };
      return won ? besideIt(old, won, of) : besideIt(record, old, of);
    });
    const pieces = new Set([...have.records, ...put].filter(pieceKind.is).map(p => p.id));
    const ids = new Set([...have.records, ...put].map(r => r.id));
    const batch: Batch = {
      ...NO_BATCH,
      put: [...put, ...beside.filter(r => !here.has(recordKey(r)))],
      lineage: lineageAfter(have, file),
      entries: joinLogs(
        have.entries,
        file.entries.filter(e => pieces.has(e.pieceId) && !isUnreadHere(have, e.id)),
      ),
      unread: file.unread.filter(({ raw }) => {
        const id: unknown = typeof raw === 'object' && raw !== null ? Reflect.get(raw, 'id') : null;
        return typeof id === 'string' && !ids.has(id) && !isUnreadHere(have, id);
      }),
    };
    const replaced = put.filter(r => here.has(recordKey(r))).length;
    const changed = changedBy(have, batch);
    const result: ImportResult = {
      added: put.length - replaced,
      replaced,
      kept: file.records.length - put.length,
      entriesAdded: changed.entriesAdded.length,
      beside: batch.put.length - put.length,
      unread: batch.unread.length,
      changed,
    };
    return { batch, result };
  };
