import type { Issue } from '../core/issues';
import type { Attachment } from '../records/attachment';
import type { Snapshot } from '../records/snapshot';

/** What a workshop file holds. */
export interface WorkshopFile {
  readonly snapshot: Snapshot;
  readonly attachments: readonly Attachment[];
  /** What was found and does not stand in the way: a wool that the file names and does not hold. */
  readonly remarks: readonly Issue[];
}

/** A workshop file as it is handed over. */
export interface WrittenFile {
  readonly bytes: Uint8Array;
  readonly ending: 'json' | 'zip';
  readonly type: string;
  /** What could not be read and went along as it is. */
  readonly remarks: readonly Issue[];
}

/** Name and version that stand at the head of every file. */
export const FILE_FORMAT = 'jorrit-workshop';
export const FILE_VERSION = 1;
/** Names inside a zip. */
export const ZIP_WORKSHOP = 'workshop.json';
export const ZIP_FOLDER = 'attachments/';
