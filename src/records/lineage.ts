import type { StoredRecord } from './common';
import { isObject } from './migrate';

/**
 * Of each record, by its key, which of its versions went out in a file or came in by one: versions that this one has grown from. With it a
 * workshop that is carried between two devices can tell an older version from one that was changed over there meanwhile.
 */
export type Lineage = Readonly<Record<string, readonly string[]>>;

/** More versions back than these are not told apart. */
const MOST_STAMPS = 12;

/** Names a version of a record among all versions of it. */
export const stampOf = ({ revision, updatedAt }: Pick<StoredRecord, 'revision' | 'updatedAt'>): string =>
  `${revision} ${updatedAt}`;

/** Whether a version is one that a record has grown from. */
export const hasGrownFrom = (lineage: Lineage, key: string, stamp: string): boolean =>
  lineage[key]?.includes(stamp) ?? false;

/** A lineage with more versions of some records; of each the last ones are kept. */
export const withStamps = (
  lineage: Lineage,
  more: ReadonlyArray<readonly [key: string, stamps: readonly string[]]>,
): Lineage => {
  const next: Record<string, readonly string[]> = { ...lineage };
  for (const [key, stamps] of more)
    next[key] = [...new Set([...(next[key] ?? []), ...stamps])].slice(-MOST_STAMPS);
  return next;
};

/** A lineage as it was read; what is none of it is left out. */
export const readLineage = (raw: unknown): Lineage =>
  isObject(raw)
    ? Object.fromEntries(
        Object.entries(raw).flatMap(([key, stamps]) =>
          Array.isArray(stamps) ? [[key, stamps.filter(s => typeof s === 'string').slice(-MOST_STAMPS)]] : [],
        ),
      )
    : {};
