import type { Edges } from './edges';

/** Cells of about an edge's length, and no more of them than these to an edge. */
const CELLS_PER_EDGE = 16;

/** A slanting edge is put into what it passes by this share of a cell as well: rounding leaves out none that it passes. */
const MARGIN = 1e-6;

/** Is told of two edges that share a cell, once for each cell they share; false when that is enough. */
export type TellPair = (e: number, f: number) => boolean;

/** An edge passes about so many cells. */
const FIRST_LINKS = 4;

/** The edges in each cell as a chain of links. */
interface Cells {
  readonly tell: TellPair;
  /** Of each cell its last link; −1 where it is empty. */
  readonly heads: Int32Array;
  /** Of each link its edge, and the link before it. */
  held: Int32Array;
  before: Int32Array;
  links: number;
}

/** The same numbers with room for as many again. */
const twice = (numbers: Int32Array): Int32Array => {
  const longer = new Int32Array(2 * numbers.length);
  longer.set(numbers);
  return longer;
};

/** Puts an edge into a cell, and tells of it beside each that is there. */
const put = (cells: Cells, cell: number, e: number): boolean => {
  const { tell, heads, held, before, links } = cells;
  const head = heads[cell] ?? -1;
  for (let link = head; link >= 0; link = before[link] ?? -1) if (!tell(held[link] ?? 0, e)) return false;
  if (links === held.length) {
    cells.held = twice(held);
    cells.before = twice(before);
  }
  heads[cell] = links;
  cells.held[links] = e;
  cells.before[links] = head;
  cells.links = links + 1;
  return true;
};

/** Where the cells lie: the least of both ways, how large they are, and how many there are in a row and of rows. */
const layOut = ({ count, x, y, next }: Edges) => {
  let [minX, minY, maxX, maxY] = [x[0] ?? 0, y[0] ?? 0, x[0] ?? 0, y[0] ?? 0];
  let length = 0;
  for (let e = 0; e < count; e += 1) {
    const ax = x[e] ?? 0;
    const ay = y[e] ?? 0;
    const to = next[e] ?? 0;
    minX = Math.min(minX, ax);
    maxX = Math.max(maxX, ax);
    minY = Math.min(minY, ay);
    maxY = Math.max(maxY, ay);
    length += Math.abs((x[to] ?? 0) - ax) + Math.abs((y[to] ?? 0) - ay);
  }
  const [wide, high] = [maxX - minX, maxY - minY];
  const size = Math.max(length / count, Math.sqrt((wide * high) / (CELLS_PER_EDGE * count))) || 1;
  return { minX, minY, size, columns: Math.floor(wide / size) + 1, rows: Math.floor(high / size) + 1 };
};

/**
 * Tells of every two edges that are near one another, by a grid with cells of about their length.
 * @returns false when it was told that this is enough, and where a place is no number
 */
export const tellNear = (edges: Edges, tell: TellPair): boolean => {
  const { count, x, y, next } = edges;
  const { minX, minY, size, columns, rows } = layOut(edges);
  if (!Number.isFinite(size) || !Number.isFinite(columns * rows)) return false;
  const cells: Cells = {
    tell,
    heads: new Int32Array(columns * rows).fill(-1),
    held: new Int32Array(FIRST_LINKS * count),
    before: new Int32Array(FIRST_LINKS * count),
    links: 0,
  };
  for (let e = 0; e < count; e += 1) {
    const to = next[e] ?? 0;
    const ax = x[e] ?? 0;
    const ay = y[e] ?? 0;
    const bx = x[to] ?? 0;
    const by = y[to] ?? 0;
    const left = Math.min(ax, bx);
    const right = Math.max(ax, bx);
    const low = Math.floor((Math.min(ay, by) - minY) / size);
    const high = Math.floor((Math.max(ay, by) - minY) / size);
    let first = Math.floor((left - minX) / size);
    let last = Math.floor((right - minX) / size);
    const isLong = high > low + 1 && last > first + 1;
    const slope = isLong ? (bx - ax) / (by - ay) : 0;
    for (let r = low; r <= high; r += 1) {
      if (isLong) {
        // A long slanting edge passes few of the cells of its box.
        const p = ax + (minY + r * size - ay) * slope;
        const q = p + size * slope;
        first = Math.floor((Math.max(left, Math.min(p, q) - MARGIN * size) - minX) / size);
        last = Math.floor((Math.min(right, Math.max(p, q) + MARGIN * size) - minX) / size);
      }
      for (let c = first; c <= last; c += 1) if (!put(cells, r * columns + c, e)) return false;
    }
  }
  return true;
};
