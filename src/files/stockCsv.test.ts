import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { type LedgerEntry, stockOf } from '../core/stock/ledger';
import { stockCsv } from './stockCsv';

const entry = (id: string, move: LedgerEntry['move'], count: number, paid: number | null): LedgerEntry => ({
  id,
  productId: 'mat',
  at: `2026-03-0${id}T10:00:00.000Z`,
  move,
  count,
  paid,
  orderId: null,
  pieceId: null,
  of: null,
});

it('the ledger comes back from its table to the piece and the cent, and runs nothing', () => {
  const { lines } = stockOf([
    entry('1', 'made', 24, null),
    entry('2', 'sold', 13, 8620),
    entry('3', 'counted', 9, null),
  ]);
  const rows = lines.map(line => ({
    line,
    product: '=cmd()',
    order: 'Fair, by the lock',
    note: 'a "quoted" note',
  }));
  const text = stockCsv(rows, { places: 2, code: 'EUR' });
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true });
  expect(errors).toEqual([]);
  expect(data.map(d => [d['what'], d['count'], d['change'], d['on hand'], d['paid'], d['currency']])).toEqual(
    [
      ['made', '24', '24', '24', '', ''],
      ['sold', '13', '-13', '11', '86.20', 'EUR'],
      ['counted', '9', '-2', '9', '', ''],
    ],
  );
  expect(data[0]?.['product']).toBe("'=cmd()");
  expect(data[0]?.['for']).toBe('Fair, by the lock');
  expect(stockCsv(rows.slice(1, 2), { places: 0, code: 'JPY' })).toContain('8620,JPY');
});
