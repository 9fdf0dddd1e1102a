import type { z } from 'zod';
import { type Issue, issue } from '../core/issues';

/** One step of a record's history: numbered, named by a verb, append-only. */
export interface Migration {
  readonly version: number;
  readonly name: string;
  readonly up: (old: Record<string, unknown>) => Record<string, unknown>;
}

/** Everything about one kind of stored record that loading needs. The first version is 1. */
export interface RecordSpec<T> {
  readonly kind: string;
  readonly schema: z.ZodType<T>;
  readonly migrations: readonly Migration[];
}

/** What came of loading a record: it is good, it is from a later version, or it is damaged. */
export type Loaded<T> =
  | { readonly status: 'ok'; readonly value: T }
  | { readonly status: 'newer' | 'invalid'; readonly issues: readonly Issue[] };

/** Version that this program writes. */
export const currentVersion = (spec: { migrations: readonly Migration[] }): number =>
  1 + spec.migrations.length;

/** A path as people write it: `pieces[2].plan.form`. */
export const joinPath = (base: string, path: ReadonlyArray<PropertyKey>): string =>
  path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`,
    base,
  );

/** Whether something read from outside is a plain object. */
export const isObject = (raw: unknown): raw is Record<string, unknown> =>
  typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/** So many issues of one record say enough. */
const MOST_ISSUES = 20;

/**
 * Brings a stored record up to date and checks it. Never throws; never changes what it was given.
 * @param path where the record stands, for the issues: `pieces[2]`
 */
export const loadRecord = <T>(spec: RecordSpec<T>, raw: unknown, path: string): Loaded<T> => {
  const invalid = (...issues: Issue[]): Loaded<T> => ({ status: 'invalid', issues });
  if (!isObject(raw))
    return invalid(issue('FILE_INVALID', path, { detail: `A ${spec.kind} was expected here.` }));
  const { version } = raw;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return invalid(
      issue('FILE_INVALID', joinPath(path, ['version']), {
        got: version,
        detail: 'A whole number was expected.',
      }),
    );
  if (version > currentVersion(spec))
    return {
      status: 'newer',
      issues: [issue('RECORD_NEWER', joinPath(path, ['version']), { got: version })],
    };
  const record = spec.migrations
    .filter(m => m.version > version)
    .reduce<Record<string, unknown>>((old, m) => ({ ...m.up(old), version: m.version }), raw);
  const parsed = spec.schema.safeParse(record);
  return parsed.success
    ? { status: 'ok', value: parsed.data }
    : invalid(
        ...parsed.error.issues
          .slice(0, MOST_ISSUES)
          .map(i => issue('FILE_INVALID', joinPath(path, i.path), { detail: `${i.message}.` })),
      );
};
