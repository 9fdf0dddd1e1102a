import type { StoredRecord } from '../records/common';
import type { Entry } from '../records/entry';
import { recordKey } from '../records/register';
import type { Snapshot } from '../records/snapshot';
import { type Batch, NO_BATCH, type PlannedBatch } from './batch';

/** What a batch changed: each record as it was before, and the revision it was left at. */
export interface RecordBefore {
  readonly records: ReadonlyArray<{ readonly was: StoredRecord | null; readonly left: StoredRecord }>;
  readonly removed: readonly StoredRecord[];
  readonly entriesAdded: readonly string[];
  readonly entriesRemoved: readonly Entry[];
  /** Entries that came to another place, as they were. */
  readonly entriesMoved: readonly Entry[];
}

/** What a batch will have changed of what is there. */
export const changedBy = (have: Snapshot, batch: Batch): RecordBefore => {
  const before = new Map(have.records.map(r => [recordKey(r), r]));
  const entries = new Map(have.entries.map(e => [e.id, e]));
  return {
    records: batch.put.map(left => ({ was: before.get(recordKey(left)) ?? null, left })),
    removed: batch.remove,
    entriesAdded: batch.entries.map(e => e.id).filter(id => !entries.has(id)),
    entriesRemoved: batch.removeEntries.flatMap(id => entries.get(id) ?? []),
    entriesMoved: batch.entries.flatMap(e => entries.get(e.id) ?? []),
  };
};

/** What came of taking a batch back. */
export interface TakenBack {
  /** Records that were changed again since, and were left as they are. */
  readonly overtaken: number;
  /** What brings it all again. */
  readonly changed: RecordBefore;
}

/**
 * Takes a batch back: what it put in goes to the bin, what it replaced and removed is as it was, as long as nobody has changed it
 * since. Revisions only rise, so that nothing older is ever taken for newer.
 */
export const planTakeBack =
  (changed: RecordBefore, now: string) =>
  (have: Snapshot): PlannedBatch<TakenBack> => {
    const here = new Map(have.records.map(r => [recordKey(r), r]));
    const put: StoredRecord[] = [];
    let overtaken = 0;
    for (const { was, left } of changed.records) {
      const is = here.get(recordKey(left));
      if (is?.revision !== left.revision) overtaken += 1;
      else {
        const back = was ?? { ...left, deletedAt: now };
        put.push({ ...back, revision: left.revision + 1, updatedAt: now });
      }
    }
    const gone = changed.removed.filter(r => !here.has(recordKey(r)));
    overtaken += changed.removed.length - gone.length;
    const known = new Set(have.entries.map(e => e.id));
    const batch: Batch = {
      ...NO_BATCH,
      put: [...put, ...gone.map(r => ({ ...r, revision: r.revision + 1 }))],
      entries: [
        ...changed.entriesRemoved.filter(e => !known.has(e.id)),
        ...changed.entriesMoved.filter(e => known.has(e.id)),
      ],
      removeEntries: changed.entriesAdded.filter(id => known.has(id)),
    };
    return { batch, result: { overtaken, changed: changedBy(have, batch) } };
  };
