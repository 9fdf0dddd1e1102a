import Papa from 'papaparse';
import { type Issue, issue } from '../core/issues';
import { isWithin, type Limit, LIMITS } from '../core/limits';
import { err, ok, type Result } from '../core/result';
import { type DecimalMark, parseNumber } from '../core/units/parseNumber';
import { parseQuantity } from '../core/units/units';
import { FORMULA } from './csvFormula';
import { SORTS, type Wool, WOOL_FORMS, type WoolRow } from '../records/wool';

/** A shelf read from a table: its rows, and what could not be taken as a figure, with its line. */
export interface ReadShelf {
  readonly rows: readonly WoolRow[];
  readonly problems: readonly Issue[];
}

const COLUMNS = [
  'name',
  'sort',
  'fibre',
  'micron',
  'form',
  'colour',
  'grams',
  'per 100 g',
  'rope g per m',
  'notes',
] as const;
type Column = (typeof COLUMNS)[number];

/** Other words that people head a column with, lower case. */
const ALSO: Readonly<Record<Column, readonly string[]>> = {
  name: ['wool', 'title', 'item'],
  sort: ['kind', 'category'],
  fibre: ['fiber', 'breed', 'fibre or breed', 'material'],
  micron: ['microns', 'fineness', 'µm', 'um'],
  form: ['type', 'preparation'],
  colour: ['color', 'hex'],
  grams: ['g', 'weight', 'mass', 'grams left', 'on the shelf', 'stock'],
  'per 100 g': ['price', 'cost', 'price per 100 g'],
  'rope g per m': ['rope', 'g/m'],
  notes: ['note', 'comment', 'comments', 'remarks'],
};
const LARGEST_CHARS = 20_000_000;
const MOST_NOTES = 20_000;

const field = (value: string | number | null): string | number => value ?? '';

/** To what a scale reads, without the dust of arithmetic. */
const tidy = (grams: number | null): number | null => (grams === null ? null : Number(grams.toFixed(3)));

/**
 * The shelf as a table: commas, a heading row, figures with a decimal point, nothing that a spreadsheet would run.
 * @param left what is left of a wool by now, g: what was counted, less what was weighed since
 */
export const writeShelfCsv = (wools: readonly Wool[], left: (wool: Wool) => number | null): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: wools.map(w => [
        w.name,
        w.sort,
        w.fibre,
        field(w.micron),
        w.form,
        w.colour,
        field(tidy(left(w))),
        field(w.per100g),
        field(w.ropeGPerM),
        w.notes,
      ]),
    },
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );

const columnOf = (heading: string): Column | null => {
  const plain = heading
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');
  return COLUMNS.find(c => c === plain || ALSO[c].includes(plain)) ?? null;
};
const plainText = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text).trim();
/** Figures that a wool may have, by the column that says them. */
const RANGE: Readonly<Partial<Record<Column, Limit>>> = {
  micron: LIMITS.micron,
  grams: LIMITS.grams,
  'per 100 g': LIMITS.price,
  'rope g per m': LIMITS.ropeGPerM,
};

/** One row. An empty cell says nothing; what cannot be read is handed on in its words. */
const rowOf = (
  cells: ReadonlyArray<{ readonly heading: string; readonly text: string }>,
  { line, decimal }: { readonly line: number; readonly decimal: DecimalMark },
): { row: WoolRow | null; problems: Issue[] } => {
  const problems: Issue[] = [];
  const unread: string[] = [];
  const text = (column: Column): string =>
    cells.find(c => columnOf(c.heading) === column && c.text !== '')?.text ?? '';
  const figure = (column: Column, read: (given: string) => number | null): number | null => {
    const given = text(column);
    if (given === '') return null;
    const value = read(given);
    if (value !== null && isWithin(value, RANGE[column] ?? LIMITS.grams)) return value;
    unread.push(`${column}: ${given}`);
    const code = value === null ? 'NOT_A_NUMBER' : 'OUT_OF_RANGE';
    problems.push(issue(code, `line ${line}, ${column}`, { got: given }));
    return null;
  };
  const name = text('name').slice(0, 200);
  if (name === '') return { row: null, problems: [issue('CSV_NAMELESS', `line ${line}`)] };
  const oneOf = <T extends string>(column: Column, all: readonly T[]): T | null => {
    const given = text(column);
    const found = all.find(v => v === given.toLowerCase()) ?? null;
    if (given !== '' && found === null) unread.push(`${column}: ${given}`);
    return found;
  };
  const colour = text('colour');
  const isColour = /^#[0-9a-f]{6}$/i.test(colour);
  if (colour !== '' && !isColour) unread.push(`colour: ${colour}`);
  for (const { heading, text: given } of cells)
    if (columnOf(heading) === null && given !== '') unread.push(`${heading}: ${given}`);
  const mass = (given: string): number | null => parseQuantity(given, 'mass', { units: 'metric', decimal });
  const plain = (given: string): number | null => parseNumber(given, decimal);
  return {
    row: {
      name,
      sort: oneOf('sort', SORTS),
      fibre: text('fibre').slice(0, 200) || null,
      micron: figure('micron', plain),
      form: oneOf('form', WOOL_FORMS),
      colour: isColour ? colour.toLowerCase() : null,
      gramsCounted: figure('grams', mass),
      per100g: figure('per 100 g', plain),
      ropeGPerM: figure('rope g per m', plain),
      notes: text('notes').slice(0, MOST_NOTES) || null,
      unread,
    },
    problems,
  };
};

/**
 * Reads a shelf from a table: any separator, decimal points or commas, headings in any order and by several names.
 * Columns that are not known and figures that cannot be read are handed on in their words, so that nothing is lost.
 * Fails with FILE_TOO_LARGE or CSV_HEADINGS.
 */
export const readShelfCsv = (text: string): Result<ReadShelf> => {
  if (text.length > LARGEST_CHARS)
    return err(issue('FILE_TOO_LARGE', '', { got: `${text.length} characters` }));
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [headings = [], ...lines] = parsed.data;
  if (!headings.some(h => columnOf(h) === 'name'))
    return err(issue('CSV_HEADINGS', 'line 1', { got: headings.slice(0, 6).join(', ').slice(0, 120) }));
  // A table parts its cells by semicolons where a comma stands before the tenths.
  const decimal = parsed.meta.delimiter === ';' ? ',' : '.';
  const rows = lines.map((cells, i) =>
    rowOf(
      cells.map((cell, k) => ({ heading: headings[k]?.trim() ?? `column ${k + 1}`, text: plainText(cell) })),
      { line: i + 2, decimal },
    ),
  );
  return ok({
    rows: rows.flatMap(r => (r.row ? [r.row] : [])),
    problems: rows.flatMap(r => r.problems),
  });
};
