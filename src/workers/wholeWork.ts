import type { Issue } from '../core/issues';
import { ok, type Result } from '../core/result';
import type { WrittenFile } from '../files/fileTypes';
import { readWorkshop } from '../files/readWorkshop';
import { onePiece, writeWorkshop } from '../files/writeWorkshop';
import { pieceKind } from '../records/piece';
import { KINDS } from '../records/kinds';
import { ofKind, type Snapshot } from '../records/snapshot';
import { namedAttachments } from '../store/attachments';
import {
  compareWithFile,
  type Difference,
  type ImportResult,
  type MergeChoice,
  planImport,
} from '../store/importing';
import type { Store } from '../store/store';
import { planTakeBack, type RecordBefore } from '../store/takeBack';
import { DECIDED_PERCENT } from './decided';

/** What goes into a file. */
export interface SaveAsk {
  /** The piece that is saved with its log and all it needs; null for the whole workshop. */
  readonly pieceId: string | null;
  /** False to leave pictures where they are, and write their names only. */
  readonly pictures: boolean;
  readonly exportedAt: string;
}

/** A file that was read back, and how many pieces of the felter's own are in it. */
export interface Saved {
  readonly file: WrittenFile;
  readonly ownPieces: number;
}

/** What is to be read in. */
export interface OpenAsk {
  readonly file: Blob;
  /** When it is read. */
  readonly at: string;
  /** What was chosen of it; null to be asked where something here is otherwise and not merely older. */
  readonly choice: MergeChoice | null;
}

/** What came of a reading: with what takes it back, as bytes that only `takeBackWhole` reads. */
export interface TakenIn extends Omit<ImportResult, 'changed'> {
  readonly back: Uint8Array<ArrayBuffer>;
}

/** What came of opening a file. */
export type OpenOutcome =
  | { readonly is: 'refused'; readonly issues: readonly Issue[] }
  | { readonly is: 'asked'; readonly differences: readonly Difference[] }
  | { readonly is: 'taken'; readonly report: TakenIn; readonly remarks: readonly Issue[] };

/** What came of taking a reading back: how much was changed since and left, and what brings it all again. */
export interface TurnedBack {
  readonly overtaken: number;
  readonly back: Uint8Array<ArrayBuffer>;
}

/** Told how far a job is, per cent; from `DECIDED_PERCENT` on it is done whole. */
export type OnPercent = (percent: number) => void;

/** Part of a job that takes it from so many per cent to so many. */
const within =
  (onPercent: OnPercent, from: number, to: number) =>
  (done: number, of: number): void =>
    onPercent(Math.round(from + ((to - from) * done) / of));

const packed = (changed: RecordBefore): Uint8Array<ArrayBuffer> =>
  new TextEncoder().encode(JSON.stringify(changed));
const unpacked = (back: Uint8Array): RecordBefore => JSON.parse(new TextDecoder().decode(back));

const picturesOf = async (store: Store, snapshot: Snapshot) => {
  const hashes = [...namedAttachments(snapshot, KINDS).keys()];
  const found = await Promise.all(hashes.map(hash => store.attachment(hash)));
  return found.filter(a => a !== null);
};

/**
 * Writes a workshop, or one piece of it, as a file that was read back, and notes which versions went out. Fails as `writeWorkshop` does,
 * rejects with a `StoreError`.
 */
export const saveWhole = async (
  store: Store,
  ask: SaveAsk,
  onPercent: OnPercent = () => undefined,
): Promise<Result<Saved>> => {
  const all = await store.snapshot();
  onPercent(30);
  const snapshot = ask.pieceId === null ? all : onePiece(all, ask.pieceId);
  const attachments = ask.pictures ? await picturesOf(store, snapshot) : [];
  onPercent(40);
  const written = writeWorkshop({
    snapshot,
    attachments,
    exportedAt: ask.exportedAt,
    onFile: within(onPercent, 50, DECIDED_PERCENT),
  });
  if (!written.ok) return written;
  // On a full disk the file is what matters; without the note an older version may later be kept beside a newer, no more.
  await store.noteSent(snapshot.records).catch(() => undefined);
  const own = ofKind(snapshot.records, pieceKind).filter(p => !p.sample && p.deletedAt === null);
  return ok({ file: written.value, ownPieces: own.length });
};

/** Whether somebody has to say what is to be taken: something here is otherwise than in the file, and not merely older. */
const isQuestion = ({ standing }: Difference): boolean => standing === 'older' || standing === 'deleted';

/**
 * Reads a workshop file in: all of it or nothing. Rejects with a `StoreError`.
 */
export const openWhole = async (
  store: Store,
  ask: OpenAsk,
  onPercent: OnPercent = () => undefined,
): Promise<OpenOutcome> => {
  const bytes = new Uint8Array(await ask.file.arrayBuffer());
  onPercent(5);
  const read = readWorkshop(bytes, ask.at, within(onPercent, 5, 40));
  if (!read.ok) return { is: 'refused', issues: read.issues };
  const { snapshot, attachments, remarks } = read.value;
  if (!ask.choice) {
    const differences = compareWithFile(await store.snapshot(), snapshot);
    if (differences.some(isQuestion)) return { is: 'asked', differences };
  }
  onPercent(60);
  const kept = within(onPercent, 60, DECIDED_PERCENT);
  for (const [i, { bytes: picture, type }] of attachments.entries()) {
    await store.attach(picture, type);
    kept(i, attachments.length);
  }
  onPercent(DECIDED_PERCENT);
  const plan = planImport(snapshot, ask.at, ask.choice ?? new Map());
  const { changed, ...report } = await store.transact(plan);
  return { is: 'taken', report: { ...report, back: packed(changed) }, remarks };
};

/** Takes a reading back, or brings it again. Rejects with a `StoreError`. */
export const takeBackWhole = async (
  store: Store,
  of: { readonly back: Uint8Array; readonly at: string },
): Promise<TurnedBack> => {
  const { overtaken, changed } = await store.transact(planTakeBack(unpacked(of.back), of.at));
  return { overtaken, back: packed(changed) };
};
