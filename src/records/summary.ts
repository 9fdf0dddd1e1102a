import type { DriedPiece } from '../core/finishing/ownDrying';
import type { Stage } from '../core/log/stageOf';
import { isObject } from './migrate';

/** The version of a summary that this program writes; one of another is made anew. Counted up when anything that it is made of changes. */
export const SUMMARY_VERSION = 2;

/** A line of a piece as it is drawn on the table: what it stands for, and its SVG path, mm. */
export interface SummaryLine {
  readonly role: string;
  readonly path: string;
  readonly closed: boolean;
}

/**
 * What is shown and asked of a piece where many are: one small row, made of the piece and its log. It is never saved to a file, and
 * thrown away whenever one of the two changes.
 */
export interface PieceSummary {
  readonly id: string;
  readonly version: typeof SUMMARY_VERSION;
  /** Of what it was made: the revision of the piece, and the last place of its log. */
  readonly made: { readonly revision: number; readonly seq: number };
  /** What of it cannot be read; where it is the piece itself, all else is empty. */
  readonly unread: 'nothing' | 'log' | 'piece';
  readonly name: string;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly deletedAt: string | null;
  readonly finishedAt: string | null;
  /** Of the sample, whatever was changed of it. */
  readonly isOfSample: boolean;
  /** Of the sample, and not changed since. */
  readonly isUntouched: boolean;
  readonly woolId: string | null;
  /** Every wool that it is made of. */
  readonly woolIds: readonly string[];
  readonly swatchId: string | null;
  readonly stage: Stage;
  /** When it was last worked; null where it never was. */
  readonly lastAt: string | null;
  /** Mean share of the way from laid to wanted; null before it is measured, or off the bench. */
  readonly progress: number | null;
  /** Its first measures, as it came out or as it is wanted, mm. */
  readonly sizesMm: readonly number[];
  /** How it lies on the table, mm; null where its plan needs to be mended. */
  readonly drawing: {
    readonly box: {
      readonly minX: number;
      readonly minY: number;
      readonly maxX: number;
      readonly maxY: number;
    };
    readonly lines: readonly SummaryLine[];
  } | null;
  /** Something of its finishing was done. */
  readonly isFinishing: boolean;
  /** How long it dried, once it did. */
  readonly dried: DriedPiece | null;
  /** Wool that was weighed for it. */
  readonly takings: ReadonlyArray<{
    readonly woolId: string | null;
    readonly grams: number;
    readonly atMs: number;
  }>;
  /** Hashes of the pictures that it and its log name. */
  readonly attachments: readonly string[];
  /** How it shrank and how firm it came out, of a finished one; null where that was not measured. */
  readonly along: number | null;
  readonly across: number | null;
  readonly density: number | null;
}

/** Whether something kept is a summary of this version. Only this program writes them. */
export const isSummary = (raw: unknown): raw is PieceSummary =>
  isObject(raw) && raw['version'] === SUMMARY_VERSION && typeof raw['id'] === 'string';

/** The parts of a piece as they are stored, from which its summary is made. */
export interface RawPiece {
  readonly piece: unknown;
  readonly log: readonly unknown[];
}
