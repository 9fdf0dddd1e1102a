import { UNDYED } from '../core/wool/undyed';
import { newWool, type Wool, woolKind, type WoolRow } from '../records/wool';
import { ofKind } from '../records/snapshot';
import { NO_BATCH, type PlannedBatch } from '../store/batch';
import { type RecordBefore, changedBy } from '../store/takeBack';
import type { Snapshot } from '../records/snapshot';

/** What came of reading rows in. */
export interface ShelfReport {
  readonly added: number;
  readonly changed: number;
  readonly back: RecordBefore;
}

const nameKey = (name: string): string => name.trim().toLowerCase();
/** Grams nearer than this are what the table was written with. */
const SAME_G = 0.002;
const MOST_NOTES = 20_000;

/** Notes with lines that are not in them yet. */
const withLines = (notes: string, lines: readonly string[]): string => {
  const known = new Set(notes.split('\n'));
  return [notes, ...lines.filter(l => !known.has(l))].filter(Boolean).join('\n').slice(0, MOST_NOTES);
};

/** A row onto a wool: what the row says, and only that; an empty cell changes nothing. */
const withRow = (
  wool: Wool,
  row: WoolRow,
  of: { readonly now: string; readonly left: number | null },
): Wool => {
  const counts =
    row.gramsCounted !== null && !(of.left !== null && Math.abs(row.gramsCounted - of.left) < SAME_G);
  return {
    ...wool,
    sort: row.sort ?? wool.sort,
    fibre: row.fibre ?? wool.fibre,
    micron: row.micron ?? wool.micron,
    form: row.form ?? wool.form,
    colour: row.colour ?? wool.colour,
    per100g: row.per100g ?? wool.per100g,
    ropeGPerM: row.ropeGPerM ?? wool.ropeGPerM,
    notes: withLines(row.notes ?? wool.notes, row.unread),
    ...(counts ? { gramsCounted: row.gramsCounted, countedAt: of.now } : {}),
    deletedAt: null,
  };
};

const freshWool = (id: string, name: string, now: string): Wool =>
  newWool({ id, name, fibre: '', form: 'batt', colour: UNDYED, now });

/**
 * Puts rows on the shelf: a wool of the same name is brought up to date, others are added. Whole or not at all.
 * @param of.left what is left of a wool by now, g; null where it was never counted
 */
export const planShelfImport =
  (
    rows: readonly WoolRow[],
    of: {
      readonly now: string;
      readonly newId: () => string;
      readonly left: (wool: Wool) => number | null;
    },
  ) =>
  (have: Snapshot): PlannedBatch<ShelfReport> => {
    const { now, left, newId } = of;
    const before = new Map(ofKind(have.records, woolKind).map(w => [nameKey(w.name), w]));
    const after = new Map<string, Wool>();
    for (const row of rows) {
      const key = nameKey(row.name);
      const known = before.get(key);
      const wool = after.get(key) ?? known ?? freshWool(newId(), row.name, now);
      after.set(key, withRow(wool, row, { now, left: known ? left(known) : null }));
    }
    const put = [...after].map(([key, wool]) => {
      const known = before.get(key);
      return known ? { ...wool, revision: known.revision + 1, updatedAt: now } : wool;
    });
    const batch = { ...NO_BATCH, put };
    const changed = put.filter(w => before.has(nameKey(w.name))).length;
    return { batch, result: { added: put.length - changed, changed, back: changedBy(have, batch) } };
  };
