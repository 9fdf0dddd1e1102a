import type { z } from 'zod';
import type { StoredRecord } from './common';
import type { Migration, RecordSpec } from './migrate';

/** A record that another one needs. */
export interface Reference {
  readonly kind: string;
  readonly id: string;
  /** Where it stands in the record that needs it. */
  readonly path: string;
}

/** Everything about one kind of stored record. A newcomer is one file with one of these, and a line in the register. */
export interface KindSpec<T extends StoredRecord> {
  readonly kind: T['kind'];
  /** Name of its table in the store, of its list in a file, and of what is asked of the store. */
  readonly table: string;
  /** Version of the browser's database that brought the table. */
  readonly since: number;
  readonly schema: z.ZodType<T>;
  readonly migrations: readonly Migration[];
  /** What it is called where it is told of. */
  readonly nameOf: (record: T) => string;
  /** Records that it cannot do without. */
  readonly refersTo?: (record: T) => readonly Reference[];
  /** The record that it is a part of: it goes where that goes. */
  readonly partOf?: (record: T) => Reference;
  /** Hashes of the attachments that it holds. */
  readonly attachments?: (record: T) => readonly string[];
  /** There is one only, or it never changes: two versions of it are never kept beside one another. */
  readonly isAlone?: true;
}

/** A kind as the register has it: what it says, asked of any record. */
export interface Kind<T extends StoredRecord> extends RecordSpec<T> {
  readonly table: string;
  readonly since: number;
  readonly is: (record: StoredRecord) => record is T;
  readonly nameOf: (record: StoredRecord) => string;
  readonly refersTo: (record: StoredRecord) => readonly Reference[];
  readonly partOf: (record: StoredRecord) => Reference | null;
  readonly attachments: (record: StoredRecord) => readonly string[];
  readonly isAlone: boolean;
}

/** Puts what a kind says of itself into the shape in which any record can be asked. */
export const defineKind = <T extends StoredRecord>(spec: KindSpec<T>): Kind<T> => {
  const is = (record: StoredRecord): record is T => record.kind === spec.kind;
  return {
    kind: spec.kind,
    table: spec.table,
    since: spec.since,
    schema: spec.schema,
    migrations: spec.migrations,
    is,
    nameOf: record => (is(record) ? spec.nameOf(record) : record.id),
    refersTo: record => (is(record) ? (spec.refersTo?.(record) ?? []) : []),
    partOf: record => (is(record) ? (spec.partOf?.(record) ?? null) : null),
    isAlone: spec.isAlone ?? false,
    attachments: record => (is(record) ? (spec.attachments?.(record) ?? []) : []),
  };
};
