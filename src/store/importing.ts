import { dequal } from 'dequal';
import type { StoredRecord } from '../records/common';
import type { Entry } from '../records/entry';
import { pieceKind } from '../records/piece';
import { kindOf, recordKey, withNeeds } from '../records/register';
import type { Snapshot } from '../records/snapshot';
import { type Batch, NO_BATCH, type PlannedBatch } from './batch';
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
  if (dequal(content(there), content(here))) return 'same';
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
  /** What could not be read and was taken as it is. */
  readonly unread: number;
  /** What takes the whole reading back. */
  readonly changed: RecordBefore;
}

/**
 * Entries that are not there yet. A log that grew on two browsers is joined: an entry whose place is taken by another
 * goes behind the last, in the order it came.
 */
const joinLogs = (have: readonly Entry[], incoming: readonly Entry[]): readonly Entry[] => {
  const known = new Set(have.map(e => e.id));
  const taken = new Set(have.map(e => `${e.pieceId}/${e.seq}`));
  const last = new Map<string, number>();
  for (const e of [...have, ...incoming]) last.set(e.pieceId, Math.max(last.get(e.pieceId) ?? 0, e.seq));
  return incoming
    .filter(e => !known.has(e.id))
    .toSorted((a, b) => a.seq - b.seq)
    .map(e => {
      const place = `${e.pieceId}/${e.seq}`;
      if (!taken.has(place)) {
        taken.add(place);
        return e;
      }
      const seq = (last.get(e.pieceId) ?? 0) + 1;
      last.set(e.pieceId, seq);
      return { ...e, seq };
    });
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
    const pieces = new Set([...have.records, ...put].filter(pieceKind.is).map(p => p.id));
    const ids = new Set([...have.records, ...put].map(r => r.id));
    const batch: Batch = {
      ...NO_BATCH,
      put,
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
    const result: ImportResult = {
      added: put.length - replaced,
      replaced,
      kept: file.records.length - put.length,
      entriesAdded: batch.entries.length,
      unread: batch.unread.length,
      changed: changedBy(have, batch),
    };
    return { batch, result };
  };
