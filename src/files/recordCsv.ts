import Papa from 'papaparse';
import type { BesideRow } from '../core/record/findRows';
import type { RecordRow } from '../core/record/recordRow';
import { FORMULA } from './csvFormula';

const COLUMNS = [
  'name',
  'form',
  'wool',
  'finished',
  'length mm',
  'width mm',
  'dry grams',
  'shrinkage lengthwise %',
  'shrinkage crosswise %',
  'firmness g/cm3',
  'minutes of hands',
  'notes',
] as const;

const figure = (value: number | null | undefined, digits: number): string | number =>
  value === null || value === undefined ? '' : Number(value.toFixed(digits));
const percent = (share: number | null): string | number => figure(share === null ? null : 100 * share, 1);

/** The record as a table: commas, a heading row, figures with a decimal point, nothing that a spreadsheet would run. */
export const recordCsv = (rows: readonly RecordRow[], beside: BesideRow): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: rows.map(r => [
        r.name,
        r.form,
        beside.woolName(r.woolId),
        r.finishedAt.slice(0, 10),
        figure(r.sizeMm[0], 1),
        figure(r.sizeMm[1], 1),
        figure(r.grams, 2),
        percent(r.along),
        percent(r.across),
        figure(r.density, 3),
        figure(beside.hands(r.id), 0),
        r.notes,
      ]),
    },
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );
