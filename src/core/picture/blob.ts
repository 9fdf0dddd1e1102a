/** What belongs together in a grid: 1 where it is, 0 elsewhere, and how many cells it has. */
export interface Blob {
  readonly mask: Uint8Array;
  readonly cells: number;
}

interface Grid {
  readonly width: number;
  readonly height: number;
}

/** Writes a label onto every cell that is reached from some, over sides, where a test holds and none is yet; gives how many. */
const flood = (
  { width }: Grid,
  labels: Int32Array,
  of: { readonly from: readonly number[]; readonly label: number; readonly is: (cell: number) => boolean },
): number => {
  const { label, is } = of;
  const open = of.from.filter(cell => labels[cell] === 0 && is(cell));
  for (const cell of open) labels[cell] = label;
  let cells = open.length;
  const visit = (next: number): void => {
    if (next < 0 || next >= labels.length || labels[next] !== 0 || !is(next)) return;
    labels[next] = label;
    cells += 1;
    open.push(next);
  };
  for (let cell = open.pop(); cell !== undefined; cell = open.pop()) {
    const column = cell % width;
    if (column > 0) visit(cell - 1);
    if (column < width - 1) visit(cell + 1);
    visit(cell - width);
    visit(cell + width);
  }
  return cells;
};

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
  const labels = new Int32Array(size);
  let [best, most, label] = [0, 0, 0];
  for (let start = 0; start < size; start += 1) {
    if (labels[start] !== 0 || !is(start)) continue;
    label += 1;
    const cells = flood(grid, labels, { from: [start], label, is });
    if (cells > most) [best, most] = [label, cells];
  }
  // What cannot be reached from the rim round it is within it.
  const outside = new Int32Array(size);
  const around = flood(grid, outside, {
    from: rimOf(grid),
    label: 1,
    is: cell => most === 0 || labels[cell] !== best,
  });
  return { mask: Uint8Array.from(outside, on => (on === 1 ? 0 : 1)), cells: size - around };
};
