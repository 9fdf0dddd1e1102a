import type { Act } from '../core/acts/act';
import type { Issue } from '../core/issues';
import type { StoredRecord } from '../records/common';
import type { Entry } from '../records/entry';
import type { Kind } from '../records/kind';
import type { Settings } from '../records/settings';
import type { Snapshot } from '../records/snapshot';
import type { Attachment } from '../records/attachment';
import type { PieceSummary, RawPiece } from '../records/summary';
import type { PlannedBatch } from './batch';

/** What a listener is told: which table changed, and what stands there now where it is one thing. */
export interface StoreChange {
  /** A table of records, of the log or of settings; `all` where more than one thing changed. */
  readonly table: string;
  readonly record?: StoredRecord;
  readonly entry?: Entry;
  readonly settings?: Settings;
}

/** An act on its way into the log. The id is made by the caller, so that sending it twice appends it once. */
export interface NewEntry {
  readonly id: string;
  readonly pieceId: string;
  readonly at: string;
  readonly act: Act;
}

/** What marks a workshop as this browser's own. */
export interface Meta {
  readonly id: string;
  readonly since: string;
}

/**
 * Where records are kept. Every promise settles only when the change is durable; a change is made whole or not at all, and one
 * that cannot be made fails with a `StoreError`. Updates are functions of the stored record, so that two tabs never write over
 * each other.
 */
export interface Store {
  readonly all: <T extends StoredRecord>(kind: Kind<T>) => Promise<readonly T[]>;
  readonly get: <T extends StoredRecord>(kind: Kind<T>, id: string) => Promise<T | null>;
  readonly add: <T extends StoredRecord>(kind: Kind<T>, record: T) => Promise<void>;
  /** Null where there is no such record, or it cannot be read. The same record back from `change` changes nothing. */
  readonly update: <T extends StoredRecord>(
    kind: Kind<T>,
    id: string,
    change: (record: T) => T,
  ) => Promise<T | null>;
  readonly entries: (pieceId: string) => Promise<readonly Entry[]>;
  /** Logs of all pieces, in order. */
  readonly allEntries: () => Promise<readonly Entry[]>;
  /** Summaries that are kept, and the ids of pieces that have none: it is made of what `rawPieces` gives. */
  readonly summaries: () => Promise<{
    readonly kept: readonly PieceSummary[];
    readonly missing: readonly string[];
  }>;
  /** Pieces and their logs as they are stored; those that are not here any more are left out. */
  readonly rawPieces: (ids: readonly string[]) => Promise<readonly RawPiece[]>;
  /** Keeps summaries, but for those whose piece or log has gone on since. */
  readonly keepSummaries: (made: readonly PieceSummary[]) => Promise<void>;
  /** Fails with PIECE_GONE where the piece is not here any more, and with LOG_FULL where no place is left. */
  readonly append: (entry: NewEntry) => Promise<Entry>;
  /** Decides by the log as it stands what to append, with nobody between: null is nothing. */
  readonly appendBy: (
    pieceId: string,
    decide: (log: readonly Entry[]) => Omit<NewEntry, 'pieceId'> | null,
  ) => Promise<Entry | null>;
  readonly settings: () => Promise<Settings>;
  readonly updateSettings: (change: (settings: Settings) => Settings) => Promise<Settings>;
  readonly meta: () => Promise<Meta | null>;
  readonly setMeta: (meta: Meta) => Promise<void>;
  readonly snapshot: () => Promise<Snapshot>;
  /** Whether there are no records at all. */
  readonly isEmpty: () => Promise<boolean>;
  /** What has to be known of a workshop, without reading the logs. */
  readonly look: () => Promise<{
    /** Anything that a hand made or changed. */
    readonly hasOwn: boolean;
    /** When the first of what is deleted was. */
    readonly firstDeletedAt: string | null;
  }>;
  /** Notes which versions of records went out in a file. */
  readonly noteSent: (records: readonly StoredRecord[]) => Promise<void>;
  /** Changes many things at once, by all that is there. Pure planning: it may be asked only about what it is handed. */
  readonly transact: <R>(plan: (have: Snapshot) => PlannedBatch<R>) => Promise<R>;
  /** Keeps bytes under their SHA-256, once; gives the hash. Name it in a record soon: what nothing names is swept. */
  readonly attach: (bytes: Uint8Array, type: string) => Promise<string>;
  readonly attachment: (hash: string) => Promise<Attachment | null>;
  readonly attachmentHashes: () => Promise<readonly string[]>;
  /** Takes away attachments that nothing names and that are older than a day; gives how many. */
  readonly sweep: () => Promise<number>;
  readonly subscribe: (listener: (change: StoreChange) => void) => () => void;
  /** Records that were met and could not be read. They are left where they are. */
  readonly problems: () => readonly Issue[];
  readonly close: () => void;
}
