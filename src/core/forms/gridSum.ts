import { measure, type Measures } from './formKind';

/** Which figures of a grid follow from the others. */
export const FOLLOWS = { cells: 0, outer: 1, bar: 2, border: 3 } as const;

const AXES = ['long', 'wide'] as const;

/** Cells, bars and border of a grid in one direction, mm: W = n·a + (n − 1)·g + 2b. */
export interface GridSum {
  readonly outer: number;
  readonly n: number;
  readonly cell: number;
  readonly bar: number;
  readonly border: number;
}

/**
 * The one figure of a grid that is left out, from the others. Source: W = n·a + (n − 1)·g + 2b.
 * @returns mm; may be negative when the others are too large, NaN for a bar where there is one cell
 * @example solveGrid({ outer: 420, n: 5, bar: 12, border: 18, cell: NaN }, 'cell') // 67.2
 */
export const solveGrid = (g: GridSum, left: 'outer' | 'cell' | 'bar' | 'border'): number => {
  switch (left) {
    case 'outer':
      return g.n * g.cell + (g.n - 1) * g.bar + 2 * g.border;
    case 'cell':
      return (g.outer - (g.n - 1) * g.bar - 2 * g.border) / g.n;
    case 'bar':
      return g.n > 1 ? (g.outer - g.n * g.cell - 2 * g.border) / (g.n - 1) : Number.NaN;
    case 'border':
      return (g.outer - g.n * g.cell - (g.n - 1) * g.bar) / 2;
  }
};

/** Which group a measure belongs to, so that one that is typed does not follow. */
const GROUP: Readonly<Record<string, number>> = {
  long: FOLLOWS.outer,
  wide: FOLLOWS.outer,
  longCell: FOLLOWS.cells,
  wideCell: FOLLOWS.cells,
  bar: FOLLOWS.bar,
  border: FOLLOWS.border,
};

const axisSum = (m: Measures, axis: 'long' | 'wide'): GridSum => ({
  outer: measure(m, axis),
  n: Math.max(1, Math.round(measure(m, `${axis}Cells`))),
  cell: measure(m, `${axis}Cell`),
  bar: measure(m, 'bar'),
  border: measure(m, 'border'),
});

/**
 * All measures of a grid after one was set. Bars and border are one figure both ways: where they follow, the
 * direction along decides and the cells across make up the rest.
 */
export const settleGrid = (m: Measures, changed: string): Measures => {
  const left = measure(m, 'follows');
  // What is typed no longer follows: the cells do, or the outer size when cells were typed.
  const follows = GROUP[changed] === left ? (left === FOLLOWS.cells ? FOLLOWS.outer : FOLLOWS.cells) : left;
  let now: Measures = { ...m, follows };
  if (follows === FOLLOWS.bar) now = { ...now, bar: solveGrid(axisSum(now, 'long'), 'bar') };
  if (follows === FOLLOWS.border) now = { ...now, border: solveGrid(axisSum(now, 'long'), 'border') };
  if (follows === FOLLOWS.outer)
    return Object.fromEntries([
      ...Object.entries(now),
      ...AXES.map(axis => [axis, solveGrid(axisSum(now, axis), 'outer')] as const),
    ]);
  if (follows === FOLLOWS.cells)
    return Object.fromEntries([
      ...Object.entries(now),
      ...AXES.map(axis => [`${axis}Cell`, solveGrid(axisSum(now, axis), 'cell')] as const),
    ]);
  return { ...now, wideCell: solveGrid(axisSum(now, 'wide'), 'cell') };
};
