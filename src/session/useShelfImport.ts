import { useCallback } from 'react';
import { newWool, type Wool, type WoolRow } from '../records/wool';
import type { Store } from '../store/store';
import { newId, nowIso } from './clock';
import { history } from './history';
import { useWools } from './useRecords';
import { useStore } from './storeContext';

/** What came of reading rows in. */
export interface ShelfReport {
  readonly added: number;
  readonly changed: number;
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A row onto a wool: what the row says, and only that; an empty cell changes nothing. */
const withRow = (wool: Wool, row: WoolRow, now: string): Wool => ({
  ...wool,
  ...Object.fromEntries(Object.entries(row).filter(([, v]) => v !== null && v !== '')),
  ...(row.gramsCounted === null ? {} : { countedAt: now }),
  deletedAt: null,
});

/** Many wools at once, whole or not at all; each a revision newer than what is there. */
const putAll = async (store: Store, wools: readonly Wool[]): Promise<void> => {
  const revisions = new Map((await store.wools()).map(w => [w.id, w.revision]));
  const newer = wools.map(w => ({ ...w, revision: (revisions.get(w.id) ?? 0) + 1, updatedAt: nowIso() }));
  await store.merge({ pieces: [], wools: newer, swatches: [], recipes: [], entries: [] });
};

/** Puts rows on the shelf: a wool of the same name is brought up to date, others are added. One undo takes all back. */
export const useShelfImport = (): ((rows: readonly WoolRow[]) => Promise<ShelfReport>) => {
  const store = useStore();
  const wools = useWools();
  return useCallback(
    async rows => {
      const now = nowIso();
      const known = rows.map(row => wools.find(w => sameName(w.name, row.name)) ?? null);
      const fresh = rows.flatMap((row, i) =>
        known[i] ? [] : [withRow(newWool({ ...row, id: newId(), now }), row, now)],
      );
      const before = known.filter(w => w !== null);
      const after = rows.flatMap((row, i) => {
        const wool = known[i];
        return wool ? [withRow(wool, row, now)] : [];
      });
      const gone = (): Wool[] => fresh.map(w => ({ ...w, deletedAt: nowIso() }));
      await putAll(store, [...fresh, ...after]);
      history.push({
        label: 'read the shelf in',
        at: Date.now(),
        undo: () => putAll(store, [...gone(), ...before]),
        redo: () => putAll(store, [...fresh, ...after]),
      });
      return { added: fresh.length, changed: after.length };
    },
    [store, wools],
  );
};
