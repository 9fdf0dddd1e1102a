import { type Grid, partsOf, reached } from '../numeric/parts';

/** What belongs together in a grid: 1 where it is, 0 elsewhere, and how many cells it has. */
export interface Blob {
  readonly mask: Uint8Array;
  readonly cells: number;
}

/** Cells along the rim of a grid, each once; of a grid of one row or column some twice. */
export const rimOf = ({ width, height }: Grid): readonly number[] => [
  ...Array.from({ length: width }, (_, x) => x),
  ...Array.from({ length: width }, (_, x) => (height - 1) * width + x),
  ...Array.from({ length: Math.max(0, height - 2) }, (_, y) => (y + 1) * width),
  ...Array.from({ length: Math.max(0, height - 2) }, (_, y) => (y + 2) * width - 1),
];

/** The largest part of what a test picks out, with all that it encloses. Linear in cells. */
export const largestBlob = (grid: Grid, is: (cell: number) => boolean): Blob => {
  const size = grid.width * grid.height;
  const own = new Uint8Array(size);
  const [largest = []] = partsOf(grid, is).toSorted((a, b) => b.length - a.length);
  for (const cell of largest) own[cell] = 1;
  // What cannot be reached from the rim round it is within it.
  const outside = new Uint8Array(size);
  const around = reached(grid, outside, { from: rimOf(grid), is: cell => own[cell] === 0 });
  return { mask: outside.map(on => 1 - on), cells: size - around.length };
};
