import { type Issue, issue } from '../core/issues';
import { ok, type Result } from '../core/result';
import type { Attachment } from '../records/attachment';
import type { StoredRecord } from '../records/common';
import { LOG_TABLE } from '../records/entry';
import { type Lineage, stampOf } from '../records/lineage';
import { isObject } from '../records/migrate';
import { pieceKind } from '../records/piece';
import { KINDS } from '../records/kinds';
import { kindOf, recordKey, withNeeds } from '../records/register';
import type { Snapshot, Unread } from '../records/snapshot';
import { FILE_FORMAT, FILE_VERSION, type WrittenFile } from './fileTypes';
import { readWorkshop, readWorkshopText } from './readWorkshop';
import { type OnFile, packZip } from './zip';

const byId = <T extends { readonly id: string }>(records: readonly T[]): readonly T[] =>
  records.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** Objects with their keys in one order, whichever order they were made in. */
const inKeyOrder = (_key: string, value: unknown): unknown =>
  isObject(value)
    ? Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** Versions that these records have grown from; which they are themselves, they say. */
const lineageOf = (records: readonly StoredRecord[], lineage: Lineage): Lineage =>
  Object.fromEntries(
    records.flatMap(r => {
      const stamps = (lineage[recordKey(r)] ?? []).filter(s => s !== stampOf(r));
      return stamps.length > 0 ? [[recordKey(r), stamps]] : [];
    }),
  );

/** The workshop as text: JSON, indented, records and keys sorted so that two exports of the same data are the same. */
export const workshopText = (
  { records, entries, unread, lineage = {} }: Snapshot,
  exportedAt: string,
): string => {
  const grown = lineageOf(records, lineage);
  return `${JSON.stringify(
    {
      format: FILE_FORMAT,
      fileVersion: FILE_VERSION,
      exportedAt,
      ...Object.fromEntries(KINDS.map(kind => [kind.table, byId(records.filter(kind.is))])),
      [LOG_TABLE]: entries.toSorted((a, b) =>
        a.pieceId === b.pieceId ? a.seq - b.seq : a.pieceId < b.pieceId ? -1 : 1,
      ),
      ...(Object.keys(grown).length > 0 ? { lineage: grown } : {}),
      ...(unread.length > 0 ? { unread: unread.map(({ table, raw }) => ({ table, record: raw })) } : {}),
    },
    inKeyOrder,
    1,
  )}\n`;
};

/** One piece with its log and all that it cannot do without, and with the parts of that. */
export const onePiece = (snapshot: Snapshot, pieceId: string): Snapshot => {
  const all = new Map(snapshot.records.map(r => [recordKey(r), r]));
  const found = withNeeds(
    snapshot.records.filter(r => pieceKind.is(r) && r.id === pieceId),
    all,
  );
  const isPart = (record: StoredRecord): boolean => {
    const owner = kindOf(record)?.partOf(record) ?? null;
    return owner !== null && found.has(recordKey(owner));
  };
  return {
    records: snapshot.records.filter(r => found.has(recordKey(r)) || isPart(r)),
    entries: snapshot.entries.filter(e => e.pieceId === pieceId),
    unread: [],
    ...(snapshot.lineage ? { lineage: snapshot.lineage } : {}),
  };
};

/** Entries of pieces that are not there: they go along as they are, so that the file reads back. */
const withoutOrphans = (snapshot: Snapshot): Snapshot => {
  const pieces = new Set(snapshot.records.filter(pieceKind.is).map(p => p.id));
  const rawIds = new Set(snapshot.unread.map(u => (isObject(u.raw) ? u.raw['id'] : null)));
  const isOrphan = (pieceId: string): boolean => !pieces.has(pieceId) && !rawIds.has(pieceId);
  const orphans = snapshot.entries.filter(e => isOrphan(e.pieceId));
  if (orphans.length === 0) return snapshot;
  const unread = orphans.map((raw): Unread => ({
    table: LOG_TABLE,
    raw,
    issues: [issue('PIECE_GONE', LOG_TABLE, { got: raw.pieceId })],
  }));
  return {
    ...snapshot,
    entries: snapshot.entries.filter(e => !isOrphan(e.pieceId)),
    unread: [...snapshot.unread, ...unread],
  };
};

/** Records that a reader would refuse, by the paths of its issues: `pieces[3].plan.form`. */
const refusedBy = (snapshot: Snapshot, issues: readonly Issue[]): ReadonlySet<StoredRecord> => {
  const found = new Set<StoredRecord>();
  for (const { path } of issues) {
    const [, table, at] = /^(\w+)\[(\d+)\]/.exec(path) ?? [];
    const kind = KINDS.find(k => k.table === table);
    const record = kind && byId(snapshot.records.filter(kind.is))[Number(at)];
    if (record) found.add(record);
  }
  return found;
};

/** The workshop with what its own reader would refuse put under quarantine, so that the rest reads back. */
const readable = (snapshot: Snapshot, exportedAt: string): Snapshot => {
  let next = withoutOrphans(snapshot);
  for (let round = 0; round < 3; round += 1) {
    const read = readWorkshopText(workshopText(next, exportedAt));
    if (read.ok) return next;
    const refused = refusedBy(next, read.issues);
    const unread = [...refused].map((raw): Unread => ({
      table: kindOf(raw)?.table ?? '',
      raw,
      issues: read.issues,
    }));
    next = withoutOrphans({
      ...next,
      records: next.records.filter(r => !refused.has(r)),
      unread: [...next.unread, ...unread],
    });
  }
  return next;
};

/**
 * A workshop as a file that its own reader has read back: JSON, or a zip where it has attachments. What cannot be read goes along as
 * it is, and is told. Fails with what the reader says, where even so it does not read back.
 */
export const writeWorkshop = (of: {
  readonly snapshot: Snapshot;
  readonly attachments: readonly Attachment[];
  readonly exportedAt: string;
  /** Told of each picture that was read back. */
  readonly onFile?: OnFile;
}): Result<WrittenFile> => {
  const { attachments, exportedAt } = of;
  const snapshot = readable(of.snapshot, exportedAt);
  const json = new TextEncoder().encode(workshopText(snapshot, exportedAt));
  const isPlain = attachments.length === 0;
  const bytes = isPlain ? json : packZip(json, attachments, new Date(exportedAt));
  const back = readWorkshop(bytes, exportedAt, of.onFile);
  if (!back.ok) return back;
  const remarks =
    snapshot.unread.length === 0
      ? []
      : [issue('RECORDS_UNREAD', '', { detail: `${snapshot.unread.length} of them.` })];
  return ok({
    bytes,
    ending: isPlain ? 'json' : 'zip',
    type: isPlain ? 'application/json' : 'application/zip',
    remarks,
  });
};
