import { attachmentsOf } from '../core/acts/act';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import type { Snapshot } from '../records/snapshot';

const HASHES = /\b[0-9a-f]{64}\b/g;

/** How often each attachment is named by all that is there; what cannot be read names whatever looks like a hash in it. */
export const namedAttachments = (
  { records, entries, unread }: Snapshot,
  kinds: ReadonlyArray<Kind<StoredRecord>>,
): ReadonlyMap<string, number> => {
  const named = [
    ...records.flatMap(r => kinds.flatMap(kind => kind.attachments(r))),
    ...entries.flatMap(e => attachmentsOf(e.act)),
    ...unread.flatMap(u => JSON.stringify(u.raw)?.match(HASHES) ?? []),
  ];
  const counts = new Map<string, number>();
  for (const hash of named) counts.set(hash, (counts.get(hash) ?? 0) + 1);
  return counts;
};
