import Papa from 'papaparse';
import { unitsOf } from '../core/money/exact';
import type { LedgerLine } from '../core/stock/ledger';
import { FORMULA } from './csvFormula';

const COLUMNS = [
  'date',
  'product',
  'what',
  'count',
  'change',
  'on hand',
  'paid',
  'currency',
  'for',
  'note',
] as const;

/** One line of the ledger with the names of what it is about. */
export interface StockRow {
  readonly line: LedgerLine;
  readonly product: string;
  readonly order: string;
  readonly note: string;
}

/** The ledger as a table: commas, a heading row, sums with a decimal point, nothing that a spreadsheet would run. */
export const stockCsv = (
  rows: readonly StockRow[],
  money: { readonly places: number; readonly code: string },
): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: rows.map(({ line: { entry, change, onHand }, product, order, note }) => [
        entry.at.slice(0, 10),
        product,
        entry.move,
        entry.count,
        change,
        onHand,
        entry.paid === null ? '' : unitsOf(entry.paid, money.places).toFixed(money.places),
        entry.paid === null ? '' : money.code,
        order,
        note,
      ]),
    },
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );
