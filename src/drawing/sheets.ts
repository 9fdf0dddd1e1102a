import type { Box, Point } from '../core/outline/polygon';

/** Paper, mm, upright. A4, A3: ISO 216. Letter, Tabloid: 8.5 × 11 and 11 × 17 in (ANSI/ASME Y14.1 A and B). From memory. */
export const PAPERS = {
  a4: { name: 'A4', width: 210, height: 297 },
  a3: { name: 'A3', width: 297, height: 420 },
  letter: { name: 'Letter', width: 215.9, height: 279.4 },
  tabloid: { name: 'Tabloid', width: 279.4, height: 431.8 },
} as const;
export type PaperName = keyof typeof PAPERS;
export const PAPER_NAMES: readonly PaperName[] = ['a4', 'a3', 'letter', 'tabloid'];
/** Which way paper lies; `auto` takes fewer sheets, upright when equal. */
export type Orientation = 'auto' | 'upright' | 'lying';

/** Printers leave about 5 mm blank; 10 mm is safe (common practice). */
const MARGIN_MM = 10;
/** The foot carries the check ruler and the sheet number. */
const FOOT_MM = 16;
/** How far neighbouring sheets overlap, for glue or tape. */
const OVERLAP_MM = 12;
/** White around the whole drawing, so that its line is not cut in half at the edge. */
const AROUND_MM = 4;

/** A cross that stands on two or more sheets at the same place, by which they are joined. */
export interface JoinMark {
  readonly at: Point;
  readonly name: string;
}

/** One sheet: which part of the table it shows and where on the paper. */
export interface Sheet {
  readonly name: string;
  readonly row: number;
  readonly column: number;
  /** Part of the table on this sheet, mm, overlap included. */
  readonly window: Box;
}

export interface SheetPlan {
  readonly paper: PaperName;
  readonly landscape: boolean;
  readonly pageMm: { readonly width: number; readonly height: number };
  /** Top left corner of the drawn area on the paper. */
  readonly origin: Point;
  readonly rows: number;
  readonly columns: number;
  /** Empty where there would be more of them than anybody tapes together. */
  readonly sheets: readonly Sheet[];
  readonly isPrintable: boolean;
  readonly marks: readonly JoinMark[];
}

const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const rowName = (row: number): string =>
  row < 26 ? (letters[row] ?? '') : `${letters[Math.floor(row / 26) - 1] ?? ''}${letters[row % 26] ?? ''}`;

/** More sheets than these nobody tapes together. */
const MOST_SHEETS = 500;

const count = (length: number, area: number): number =>
  Math.max(1, Math.ceil((length - OVERLAP_MM) / (area - OVERLAP_MM)));

const planFor = (box: Box, paper: PaperName, landscape: boolean): SheetPlan => {
  const { width, height } = PAPERS[paper];
  const pageMm = landscape ? { width: height, height: width } : { width, height };
  const area = { x: pageMm.width - 2 * MARGIN_MM, y: pageMm.height - 2 * MARGIN_MM - FOOT_MM };
  const size = { x: box.maxX - box.minX + 2 * AROUND_MM, y: box.maxY - box.minY + 2 * AROUND_MM };
  const columns = count(size.x, area.x);
  const rows = count(size.y, area.y);
  const step = { x: area.x - OVERLAP_MM, y: area.y - OVERLAP_MM };
  const whole = { x: columns * step.x + OVERLAP_MM, y: rows * step.y + OVERLAP_MM };
  const start = {
    x: (box.minX + box.maxX) / 2 - whole.x / 2,
    y: (box.minY + box.maxY) / 2 - whole.y / 2,
  };
  const isPrintable = rows * columns <= MOST_SHEETS;
  const sheets = Array.from({ length: isPrintable ? rows * columns : 0 }, (_, i): Sheet => {
    const row = Math.floor(i / columns);
    const column = i % columns;
    const minX = start.x + column * step.x;
    const minY = start.y + row * step.y;
    return {
      name: `${rowName(row)}${column + 1}`,
      row,
      column,
      window: { minX, minY, maxX: minX + area.x, maxY: minY + area.y },
    };
  });
  return {
    paper,
    landscape,
    pageMm,
    origin: { x: MARGIN_MM, y: MARGIN_MM },
    rows,
    columns,
    sheets,
    isPrintable,
    marks: isPrintable ? joinMarks({ start, step, rows, columns }) : [],
  };
};

/** Two crosses on every seam, in the middle of the overlap. */
const joinMarks = (grid: { start: Point; step: Point; rows: number; columns: number }): JoinMark[] => {
  const { start, step, rows, columns } = grid;
  const marks: JoinMark[] = [];
  const half = OVERLAP_MM / 2;
  const put = (x: number, y: number): number => marks.push({ at: { x, y }, name: String(marks.length + 1) });
  for (let r = 0; r < rows; r += 1)
    for (let c = 1; c < columns; c += 1)
      for (const part of [0.25, 0.75]) put(start.x + c * step.x + half, start.y + (r + part) * step.y + half);
  for (let r = 1; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1)
      for (const part of [0.25, 0.75]) put(start.x + (c + part) * step.x + half, start.y + r * step.y + half);
  return marks;
};

/** Divides a drawing over sheets of paper, upright or lying, as asked or whichever takes fewer. */
export const planSheets = (box: Box, paper: PaperName, orientation: Orientation = 'auto'): SheetPlan => {
  if (orientation !== 'auto') return planFor(box, paper, orientation === 'lying');
  const upright = planFor(box, paper, false);
  const lying = planFor(box, paper, true);
  return lying.rows * lying.columns < upright.rows * upright.columns ? lying : upright;
};

/** The crosses that fall on a sheet. */
export const marksOn = (sheet: Sheet, marks: readonly JoinMark[]): readonly JoinMark[] =>
  marks.filter(
    ({ at }) =>
      at.x >= sheet.window.minX &&
      at.x <= sheet.window.maxX &&
      at.y >= sheet.window.minY &&
      at.y <= sheet.window.maxY,
  );
