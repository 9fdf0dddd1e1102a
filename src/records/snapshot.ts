import type { Issue } from '../core/issues';
import type { StoredRecord } from './common';
import type { Entry } from './entry';
import type { Kind } from './kind';
import type { Lineage } from './lineage';

/** A record that could not be read: as it is, in its table, with what stands against it. */
export interface Unread {
  readonly table: string;
  readonly raw: unknown;
  readonly issues: readonly Issue[];
}

/** All that a workshop, or one piece with what belongs to it, consists of; attachments apart. */
export interface Snapshot {
  readonly records: readonly StoredRecord[];
  /** Logs of pieces. */
  readonly entries: readonly Entry[];
  /** What could not be read goes along as it is, under quarantine. */
  readonly unread: readonly Unread[];
  /** Versions that its records have grown from, where it was ever carried in a file. */
  readonly lineage?: Lineage;
}

/** The records of one kind. */
export const ofKind = <T extends StoredRecord>(
  records: readonly StoredRecord[],
  kind: Kind<T>,
): readonly T[] => records.filter(kind.is);
