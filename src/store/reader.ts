import type { Issue } from '../core/issues';
import { issueText } from '../words/issues';
import type { StoredRecord } from '../records/common';
import { type Entry, entrySpec, LOG_TABLE } from '../records/entry';
import type { Kind } from '../records/kind';
import { isObject, loadRecord, type RecordSpec } from '../records/migrate';
import type { Snapshot, Unread } from '../records/snapshot';
import { StoreError } from './storeError';

/** What came of reading a table: records that are good, and those that cannot be read, as they are. */
interface ReadTable<T> {
  readonly good: readonly T[];
  readonly unread: readonly Unread[];
}

const idOf = (raw: unknown): string => (isObject(raw) && typeof raw['id'] === 'string' ? raw['id'] : '?');

/** Checks raw records as they are read, brings them up to date, and remembers those that cannot be read. */
export const makeReader = (kinds: ReadonlyArray<Kind<StoredRecord>>) => {
  const problems = new Map<string, Issue>();

  const read = <T>(spec: RecordSpec<T>, table: string, raws: readonly unknown[]): ReadTable<T> => {
    const good: T[] = [];
    const unread: Unread[] = [];
    for (const raw of raws) {
      const path = `${table}[${idOf(raw)}]`;
      const loaded = loadRecord(spec, raw, path);
      if (loaded.status === 'ok') good.push(loaded.value);
      else {
        unread.push({ table, raw, issues: loaded.issues });
        for (const it of loaded.issues) problems.set(it.path, it);
      }
    }
    return { good, unread };
  };
  const one = <T>(spec: RecordSpec<T>, table: string, raw: unknown): T | null =>
    raw === undefined ? null : (read(spec, table, [raw]).good[0] ?? null);

  return {
    read,
    one,
    /** Everything there is, by its tables. */
    snapshot: (raws: ReadonlyMap<string, readonly unknown[]>): Snapshot => {
      const tables = kinds.map(kind => read(kind, kind.table, raws.get(kind.table) ?? []));
      const log = read(entrySpec, LOG_TABLE, raws.get(LOG_TABLE) ?? []);
      return {
        records: tables.flatMap(t => t.good),
        entries: log.good,
        unread: [...tables.flatMap(t => t.unread), ...log.unread],
      };
    },
    problems: (): readonly Issue[] => [...problems.values()],
  };
};

export type Reader = ReturnType<typeof makeReader>;

/** The record itself, or a failure: nothing is written that could not be read again. */
export const storable = <T>(spec: RecordSpec<T>, record: T): T => {
  const loaded = loadRecord(spec, record, spec.kind);
  if (loaded.status === 'ok') return record;
  const [first, ...rest] = loaded.issues;
  if (!first) throw new Error('A record is refused without a reason.');
  const more = rest.map(issueText).join(' ');
  throw new StoreError(
    more === '' ? first : { ...first, detail: [first.detail, more].filter(Boolean).join(' ') },
  );
};

/** Entries in the order of their places. */
export const inLogOrder = (entries: readonly Entry[]): readonly Entry[] =>
  entries.toSorted((a, b) => a.seq - b.seq || a.id.localeCompare(b.id));
