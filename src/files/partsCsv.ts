import Papa from 'papaparse';
import { type Issue, issue } from '../core/issues';
import { isWithin, LIMITS } from '../core/limits';
import { PART_SORTS, PART_UNITS } from '../core/project/partSorts';
import { err, ok, type Result } from '../core/result';
import { parseNumber } from '../core/units/parseNumber';
import type { Part } from '../records/part';
import { FORMULA } from './csvFormula';

const COLUMNS = ['name', 'sort', 'counted in', 'how many', 'price', 'size mm', 'notes'] as const;

/** What a row says of a part; null where it says nothing. */
export interface PartRow {
  readonly name: string;
  readonly sort: Part['sort'];
  readonly unit: Part['unit'] | null;
  readonly counted: number | null;
  readonly price: number | null;
  readonly sizeMm: number | null;
  readonly notes: string;
}

/** Parts as a table: commas, a heading row, figures with a decimal point, nothing that a spreadsheet would run. */
export const writePartsCsv = (parts: readonly Part[], left: (part: Part) => number | null): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: parts.map(p => [p.name, p.sort, p.unit, left(p) ?? '', p.price ?? '', p.sizeMm ?? '', p.notes]),
    },
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );

const plain = (text: string | undefined): string => {
  const cell = (text ?? '').trim();
  return /^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell;
};

/** Parts from a table. Fails with FILE_INVALID; a figure that cannot be read is told with its line, and left out. */
export const readPartsCsv = (
  text: string,
): Result<{ readonly rows: readonly PartRow[]; readonly problems: readonly Issue[] }> => {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: h => h.trim().toLowerCase(),
  });
  if (!meta.fields?.includes('name'))
    return err(issue('FILE_INVALID', 'name', { detail: 'There is no column called name.' }));
  const problems: Issue[] = [];
  const rows = data.flatMap((cells, i): PartRow[] => {
    const name = plain(cells['name']).slice(0, 200);
    if (name === '') return [];
    const figure = (column: string, limit: { least: number; most: number }): number | null => {
      const said = plain(cells[column]);
      if (said === '') return null;
      const value = parseNumber(said);
      if (value !== null && isWithin(value, limit)) return value;
      problems.push(issue('FILE_INVALID', `${column}, line ${i + 2}`, { got: said }));
      return null;
    };
    return [
      {
        name,
        sort: PART_SORTS.find(s => s === plain(cells['sort']).toLowerCase()) ?? 'other',
        unit: PART_UNITS.find(u => u === plain(cells['counted in']).toLowerCase()) ?? null,
        counted: figure('how many', { least: 0, most: 1e7 }),
        price: figure('price', LIMITS.price),
        sizeMm: figure('size mm', LIMITS.readingMm),
        notes: plain(cells['notes']).slice(0, 20_000),
      },
    ];
  });
  return ok({ rows, problems });
};
