import type { StoredRecord } from '../records/common';
import { LOG_TABLE } from '../records/entry';
import type { Kind } from '../records/kind';
import type { TableSpec } from './backend';

export const SETTINGS_TABLE = 'settings';
export const META_TABLE = 'meta';
/** Where in it the versions stand that went out and came in by files. */
export const LINEAGE = 'lineage';
export const ATTACHMENTS_TABLE = 'attachments';
export const SUMMARIES_TABLE = 'summaries';

/** Every table of the store: one for each kind of record, and those that are there once. */
export const tablesOf = (kinds: ReadonlyArray<Kind<StoredRecord>>): readonly TableSpec[] => [
  ...kinds.map((kind): TableSpec => ({ name: kind.table, since: kind.since, key: 'id' })),
  { name: LOG_TABLE, since: 1, key: 'id', isLog: true },
  { name: SETTINGS_TABLE, since: 1, key: null },
  // 4 also brought the index of the log by place.
  { name: META_TABLE, since: 4, key: null },
  { name: ATTACHMENTS_TABLE, since: 4, key: 'hash' },
  { name: SUMMARIES_TABLE, since: 7, key: 'id' },
];

/** Version of a database with these tables. */
export const versionOf = (tables: readonly TableSpec[]): number => Math.max(...tables.map(t => t.since));
