import type { Entry } from '../records/entry';
import type { Snapshot } from '../records/snapshot';
import type { MergeReport } from './store';

interface Kept {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
}

/** What is to be written so that a snapshot is in the store, and the report of it. */
export interface MergePlan {
  readonly write: Snapshot;
  readonly report: MergeReport;
}

const newer = (a: Kept, b: Kept): boolean =>
  a.revision > b.revision || (a.revision === b.revision && a.updatedAt > b.updatedAt);

const sort = <T extends Kept>(have: readonly T[], incoming: readonly T[]) => {
  const known = new Map(have.map(r => [r.id, r]));
  const added = incoming.filter(r => !known.has(r.id));
  const replaced = incoming.filter(r => {
    const old = known.get(r.id);
    return old !== undefined && newer(r, old);
  });
  return { write: [...added, ...replaced], added: added.length, replaced: replaced.length };
};

/**
 * Entries that are not there yet. A log that grew on two browsers is joined: an entry whose place is taken by another
 * goes behind the last, in the order it came.
 */
const joinLogs = (have: readonly Entry[], incoming: readonly Entry[]): Entry[] => {
  const known = new Set(have.map(e => e.id));
  const taken = new Set(have.map(e => `${e.pieceId}/${e.seq}`));
  const last = new Map<string, number>();
  for (const e of [...have, ...incoming]) last.set(e.pieceId, Math.max(last.get(e.pieceId) ?? 0, e.seq));
  return incoming
    .filter(e => !known.has(e.id))
    .toSorted((a, b) => a.seq - b.seq)
    .map(e => {
      if (!taken.has(`${e.pieceId}/${e.seq}`)) {
        taken.add(`${e.pieceId}/${e.seq}`);
        return e;
      }
      const seq = (last.get(e.pieceId) ?? 0) + 1;
      last.set(e.pieceId, seq);
      return { ...e, seq };
    });
};

/**
 * Decides what a snapshot adds or replaces: a record is replaced only by a newer one; log entries are joined.
 * @param unread ids of records here that could not be read, from a later version or damaged: they are left as they are
 */
export const mergePlan = (
  have: Snapshot,
  incoming: Snapshot,
  unread: ReadonlySet<string> = new Set(),
): MergePlan => {
  const free = <T extends { readonly id: string }>(records: readonly T[]): T[] =>
    records.filter(r => !unread.has(r.id));
  const pieces = sort(have.pieces, free(incoming.pieces));
  const wools = sort(have.wools, free(incoming.wools));
  const swatches = sort(have.swatches, free(incoming.swatches));
  const recipes = sort(have.recipes, free(incoming.recipes));
  const entries = joinLogs(have.entries, free(incoming.entries));
  const all = [pieces, wools, swatches, recipes];
  const added = all.reduce((sum, s) => sum + s.added, 0);
  const replaced = all.reduce((sum, s) => sum + s.replaced, 0);
  const came = [incoming.pieces, incoming.wools, incoming.swatches, incoming.recipes].reduce(
    (sum, records) => sum + records.length,
    0,
  );
  return {
    write: {
      pieces: pieces.write,
      wools: wools.write,
      swatches: swatches.write,
      recipes: recipes.write,
      entries,
    },
    report: {
      added,
      replaced,
      kept: came - added - replaced,
      entriesAdded: entries.length,
    },
  };
};
