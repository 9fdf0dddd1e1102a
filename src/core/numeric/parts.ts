/** A grid of cells, row by row from its top left corner. */
export interface Grid {
  readonly width: number;
  readonly height: number;
}

/** Cells that are reached from some over sides, where a test holds; each is marked as seen, and one that was seen is not reached again. */
export const reached = (
  { width }: Grid,
  seen: Uint8Array,
  of: { readonly from: readonly number[]; readonly is: (cell: number) => boolean },
): readonly number[] => {
  const cells: number[] = [];
  const visit = (cell: number): void => {
    if (cell < 0 || cell >= seen.length || seen[cell] === 1 || !of.is(cell)) return;
    seen[cell] = 1;
    cells.push(cell);
  };
  of.from.forEach(visit);
  for (let at = 0; at < cells.length; at += 1) {
    const cell = cells[at] ?? 0;
    const column = cell % width;
    if (column > 0) visit(cell - 1);
    if (column < width - 1) visit(cell + 1);
    visit(cell - width);
    visit(cell + width);
  }
  return cells;
};

/** What a test picks out of a grid, by parts: cells that touch by a side are of one part. Linear in cells. */
export const partsOf = (grid: Grid, is: (cell: number) => boolean): ReadonlyArray<readonly number[]> => {
  const seen = new Uint8Array(grid.width * grid.height);
  const parts: Array<readonly number[]> = [];
  for (let start = 0; start < seen.length; start += 1)
    if (seen[start] === 0 && is(start)) parts.push(reached(grid, seen, { from: [start], is }));
  return parts;
};
