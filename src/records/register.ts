import type { StoredRecord } from './common';
import type { Kind, Reference } from './kind';
import { KINDS } from './kinds';

/** The kind of a record; null for one that the register does not know. */
export const kindOf = (record: StoredRecord): Kind<StoredRecord> | null =>
  KINDS.find(k => k.is(record)) ?? null;

/** One name for a record among all of them. */
export const recordKey = (of: { readonly kind: string; readonly id: string }): string =>
  `${of.kind}/${of.id}`;

/** All that a record cannot do without: what it refers to, and what it is a part of. */
export const needsOf = (record: StoredRecord): readonly Reference[] => {
  const kind = kindOf(record);
  const owner = kind?.partOf(record) ?? null;
  return [...(kind?.refersTo(record) ?? []), ...(owner ? [owner] : [])];
};

/** Records with all that they cannot do without, and of that again, as far as it is among these. */
export const withNeeds = (
  records: readonly StoredRecord[],
  among: ReadonlyMap<string, StoredRecord>,
): ReadonlyMap<string, StoredRecord> => {
  const found = new Map(records.map(r => [recordKey(r), r]));
  const open = [...records];
  for (let record = open.pop(); record; record = open.pop())
    for (const need of needsOf(record)) {
      const needed = among.get(recordKey(need));
      if (!needed || found.has(recordKey(need))) continue;
      found.set(recordKey(need), needed);
      open.push(needed);
    }
  return found;
};
