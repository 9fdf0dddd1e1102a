import type { RecordRow } from './recordRow';

/** What the record can be sorted by. */
export const RECORD_SORTS = [
  'finished',
  'name',
  'form',
  'wool',
  'grams',
  'along',
  'across',
  'density',
  'hours',
] as const;
export type RecordSort = (typeof RECORD_SORTS)[number];

/** What is looked for, and in which order it is shown. */
export interface RecordQuery {
  /** Words that must all be there, in any order; small and large letters alike. */
  readonly text: string;
  readonly woolId: string | null;
  readonly form: string | null;
  readonly sort: RecordSort;
  readonly isReversed: boolean;
}

/** What stands beside a row that it does not hold itself. */
export interface BesideRow {
  readonly woolName: (woolId: string | null) => string;
  /** Minutes of hands; null where its log says nothing. */
  readonly hands: (id: string) => number | null;
}

const fold = (text: string): string => text.normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase();

const valueOf = (row: RecordRow, sort: RecordSort, beside: BesideRow): string | number | null => {
  switch (sort) {
    case 'finished':
      return row.finishedAt;
    case 'name':
      return fold(row.name);
    case 'form':
      return fold(row.form);
    case 'wool':
      return fold(beside.woolName(row.woolId));
    case 'hours':
      return beside.hands(row.id);
    default:
      return row[sort];
  }
};

/** What sorts downwards by itself: the last, the largest, the heaviest first. */
const FALLS: ReadonlySet<RecordSort> = new Set(['finished', 'grams', 'along', 'across', 'density', 'hours']);

/** Finds and sorts rows of the record; what is not known comes last, whichever way round. Linear but for the sort. */
export const findRows = (
  rows: readonly RecordRow[],
  query: RecordQuery,
  beside: BesideRow,
): readonly RecordRow[] => {
  const words = fold(query.text).split(/\s+/).filter(Boolean);
  const says = (r: RecordRow): boolean => {
    const all = fold(`${r.name} ${r.form} ${beside.woolName(r.woolId)} ${r.notes}`);
    return words.every(w => all.includes(w));
  };
  const found = rows.filter(
    r =>
      (query.woolId === null || r.woolId === query.woolId) &&
      (query.form === null || r.form === query.form) &&
      (words.length === 0 || says(r)),
  );
  const falls = FALLS.has(query.sort) !== query.isReversed;
  const keyed = found.map(row => ({ row, value: valueOf(row, query.sort, beside) }));
  keyed.sort((a, b) => {
    if (a.value === null || b.value === null) return (a.value === null ? 1 : 0) - (b.value === null ? 1 : 0);
    if (a.value === b.value) return 0;
    return a.value < b.value === falls ? 1 : -1;
  });
  return keyed.map(k => k.row);
};
