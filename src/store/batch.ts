import type { StoredRecord } from '../records/common';
import type { Lineage } from '../records/lineage';
import type { Entry } from '../records/entry';
import type { Unread } from '../records/snapshot';

/** What is written in one go. */
export interface Batch {
  readonly put: readonly StoredRecord[];
  readonly remove: readonly StoredRecord[];
  readonly entries: readonly Entry[];
  /** Ids of entries that go. */
  readonly removeEntries: readonly string[];
  /** What cannot be read and is kept as it is; only where nothing of its id is there. */
  readonly unread: readonly Unread[];
  /** What cannot be read and goes. */
  readonly removeUnread: readonly Unread[];
  /** Versions that records have grown from, as they are known from now on; left out where nothing more is. */
  readonly lineage?: Lineage;
}

/** What is to be written, and what comes of it. */
export interface PlannedBatch<R> {
  readonly batch: Batch;
  readonly result: R;
}

export const NO_BATCH: Batch = {
  put: [],
  remove: [],
  entries: [],
  removeEntries: [],
  unread: [],
  removeUnread: [],
};

export const isEmptyBatch = (batch: Batch): boolean =>
  Object.values({ ...batch, lineage: [] }).every(list => list.length === 0);
