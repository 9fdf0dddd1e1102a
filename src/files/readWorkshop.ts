import { type Issue, issue } from '../core/issues';
import { err, errs, ok, type Result } from '../core/result';
import { checkForm } from '../records/checkForm';
import type { StoredRecord } from '../records/common';
import { type Entry, entrySpec, LOG_TABLE } from '../records/entry';
import { readLineage } from '../records/lineage';
import { isObject, loadRecord, type RecordSpec } from '../records/migrate';
import { KINDS } from '../records/kinds';
import { needsOf, recordKey } from '../records/register';
import type { Snapshot, Unread } from '../records/snapshot';
import { FILE_FORMAT, FILE_VERSION, type WorkshopFile } from './fileTypes';
import { parseJsonObject } from './parseJson';
import { textOf } from './textOf';
import { isZip, type OnFile, unpackZip } from './zip';

/** More records of one kind, or entries, than these records are too many for a workshop. */
const MOST_RECORDS = 1_000_000;
const MOST_TOLD = 200;

interface List<T> {
  readonly records: readonly T[];
  readonly issues: readonly Issue[];
}

const readList = <T>(spec: RecordSpec<T>, raw: unknown, path: string): List<T> => {
  const refused = (detail: string): List<T> => ({
    records: [],
    issues: [issue('FILE_INVALID', path, { detail })],
  });
  if (!Array.isArray(raw)) return refused('A list was expected.');
  if (raw.length > MOST_RECORDS)
    return refused(`More than ${MOST_RECORDS} records are too many for a workshop.`);
  const records: T[] = [];
  const issues: Issue[] = [];
  for (const [i, record] of raw.entries()) {
    const loaded = loadRecord<T>(spec, record, `${path}[${i}]`);
    if (loaded.status === 'ok') records.push(loaded.value);
    else if (issues.length < MOST_TOLD) issues.push(...loaded.issues);
  }
  return { records, issues };
};

const twice = (records: ReadonlyArray<{ readonly id: string }>, path: string): readonly Issue[] => {
  const seen = new Set<string>();
  return records.flatMap((r, i) => {
    if (seen.has(r.id))
      return [issue('FILE_INVALID', `${path}[${i}].id`, { got: r.id, detail: 'This name is used twice.' })];
    seen.add(r.id);
    return [];
  });
};

const idOf = (raw: unknown): string | null =>
  isObject(raw) && typeof raw['id'] === 'string' ? raw['id'] : null;

/** What went along under quarantine: read where it can be by now, else kept as it is. */
const readUnread = (raw: unknown, pieces: ReadonlySet<string>): Snapshot => {
  const records: StoredRecord[] = [];
  const entries: Entry[] = [];
  const unread: Unread[] = [];
  for (const item of Array.isArray(raw) ? raw : []) {
    if (!isObject(item) || typeof item['table'] !== 'string') continue;
    const { table, record } = item;
    const kind = KINDS.find(k => k.table === table);
    const loaded = kind ? loadRecord(kind, record, table) : null;
    const entry = table === LOG_TABLE ? loadRecord(entrySpec, record, table) : null;
    if (loaded?.status === 'ok' && checkForm(loaded.value).length === 0) records.push(loaded.value);
    else if (entry?.status === 'ok' && pieces.has(entry.value.pieceId)) entries.push(entry.value);
    else unread.push({ table, raw: record, issues: [] });
  }
  return { records, entries, unread };
};

/** Issues that stand in the way, and remarks that do not: a wool that is named and is not there. */
const checkSense = (
  lists: ReadonlyMap<string, readonly StoredRecord[]>,
  snapshot: Snapshot,
): { readonly issues: readonly Issue[]; readonly remarks: readonly Issue[] } => {
  const known = new Set(snapshot.records.map(recordKey));
  const pieces = new Set([...snapshot.records.map(r => r.id), ...snapshot.unread.map(u => idOf(u.raw))]);
  const issues: Issue[] = [];
  const remarks: Issue[] = [];
  for (const [table, records] of lists) {
    issues.push(...twice(records, table).slice(0, MOST_TOLD));
    for (const [i, record] of records.entries()) {
      const at = (path: string): string => `${table}[${i}].${path}`;
      for (const it of checkForm(record)) issues.push({ ...it, path: at(it.path) });
      for (const need of needsOf(record))
        if (!known.has(recordKey(need)))
          remarks.push(
            issue('FILE_INVALID', at(need.path), {
              got: need.id,
              detail: `No such ${need.kind} in this file.`,
            }),
          );
    }
  }
  issues.push(...twice(snapshot.entries, LOG_TABLE).slice(0, MOST_TOLD));
  for (const [i, { pieceId }] of snapshot.entries.entries())
    if (!pieces.has(pieceId) && issues.length < MOST_TOLD)
      issues.push(
        issue('FILE_INVALID', `${LOG_TABLE}[${i}].pieceId`, {
          got: pieceId,
          detail: 'No such piece in this file.',
        }),
      );
  return { issues, remarks: remarks.slice(0, MOST_TOLD) };
};

/**
 * Reads the text of a workshop file. Either all of it is good, or nothing is taken and every issue names its place.
 * Fails with FILE_TOO_DEEP, FILE_NOT_JSON, FILE_INVALID, RECORD_NEWER, UNKNOWN_FORM, MEASURE_MISSING, OUT_OF_RANGE.
 */
export const readWorkshopText = (text: string): Result<Omit<WorkshopFile, 'attachments'>> => {
  const json = parseJsonObject(text);
  if (!json.ok) return json;
  const { format, fileVersion } = json.value;
  if (format !== FILE_FORMAT)
    return err(issue('FILE_INVALID', 'format', { got: format, detail: `“${FILE_FORMAT}” was expected.` }));
  if (typeof fileVersion !== 'number') return err(issue('FILE_INVALID', 'fileVersion', { got: fileVersion }));
  if (fileVersion > FILE_VERSION) return err(issue('RECORD_NEWER', 'fileVersion', { got: fileVersion }));
  // Files from before there was a kind of record have no list of it.
  const lists = KINDS.map(kind => {
    const raw = kind.since > 1 ? (json.value[kind.table] ?? []) : json.value[kind.table];
    return [kind.table, readList(kind, raw, kind.table)] as const;
  });
  const entries = readList(entrySpec, json.value[LOG_TABLE], LOG_TABLE);
  const shapes = [...lists.flatMap(([, l]) => l.issues), ...entries.issues];
  if (shapes.length > 0) return errs(shapes);
  const listedRecords = lists.flatMap(([, l]) => l.records);
  const quarantine = readUnread(json.value['unread'], new Set(listedRecords.map(r => r.id)));
  const snapshot: Snapshot = {
    records: [...listedRecords, ...quarantine.records],
    entries: [...entries.records, ...quarantine.entries],
    unread: quarantine.unread,
    ...(json.value['lineage'] === undefined ? {} : { lineage: readLineage(json.value['lineage']) }),
  };
  const listed = new Map<string, readonly StoredRecord[]>(lists.map(([table, l]) => [table, l.records]));
  const { issues, remarks } = checkSense(listed, snapshot);
  return issues.length > 0 ? errs(issues) : ok({ snapshot, remarks });
};

/**
 * Reads a workshop file, JSON or a zip with its attachments. Never throws.
 * Fails as `readWorkshopText` does, and with FILE_TOO_LARGE, FILE_NOT_TEXT, ZIP_UNREADABLE, ATTACHMENT_WRONG.
 * @param at when it is read: attachments are kept from then on  @param onFile told of each picture that was looked through
 */
export const readWorkshop = (bytes: Uint8Array, at: string, onFile?: OnFile): Result<WorkshopFile> => {
  const unpacked = isZip(bytes) ? unpackZip(bytes, at, onFile) : ok({ workshop: bytes, attachments: [] });
  if (!unpacked.ok) return unpacked;
  const text = textOf(unpacked.value.workshop);
  if (!text.ok) return text;
  const read = readWorkshopText(text.value);
  return read.ok ? ok({ ...read.value, attachments: unpacked.value.attachments }) : read;
};
