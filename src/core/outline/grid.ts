import { at, edgeAt, type Edges } from './edges';

/** Cells of about an edge's length, and no more of them than these to an edge. */
const CELLS_PER_EDGE = 16;

/** A slanting edge is put into what it passes by this share of a cell as well: rounding leaves out none that it passes. */
const MARGIN = 1e-6;

/** Calls for every two edges that share a cell of a grid, once for each cell they share; stops, and gives false, when told so. */
export type EachPair = (tell: (e: number, f: number) => boolean) => boolean;

/** An edge passes about so many cells. */
const FIRST_LINKS = 4;

/** The same numbers with room for as many again. */
const twice = (numbers: Int32Array): Int32Array<ArrayBuffer> => {
  const longer = new Int32Array(2 * numbers.length);
  longer.set(numbers);
  return longer;
};

const sizeOf = ({ count, x, y, next }: Edges, box: { wide: number; high: number }): number => {
  let length = 0;
  for (let e = 0; e < count; e += 1)
    length += Math.abs(at(x, edgeAt(next, e)) - at(x, e)) + Math.abs(at(y, edgeAt(next, e)) - at(y, e));
  return Math.max(length / count, Math.sqrt((box.wide * box.high) / (CELLS_PER_EDGE * count))) || 1;
};

const leastAndMost = (values: Float64Array): { least: number; most: number } => {
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let i = 0; i < values.length; i += 1) {
    least = Math.min(least, at(values, i));
    most = Math.max(most, at(values, i));
  }
  return { least, most };
};

/** Finds edges near one another by a grid with cells of about their length; null where a place is no number. */
export const nearEdges = (edges: Edges): EachPair | null => {
  const { count, x, y, next } = edges;
  const [xs, ys] = [leastAndMost(x), leastAndMost(y)];
  if (![xs.least, xs.most, ys.least, ys.most].every(Number.isFinite)) return null;
  const size = sizeOf(edges, { wide: xs.most - xs.least, high: ys.most - ys.least });
  const columns = Math.floor((xs.most - xs.least) / size) + 1;
  const rows = Math.floor((ys.most - ys.least) / size) + 1;
  const column = (px: number): number => Math.floor((px - xs.least) / size);
  const row = (py: number): number => Math.floor((py - ys.least) / size);
  const heads = new Int32Array(columns * rows).fill(-1);
  // Each cell's edges are a chain of links: what it holds is looked through when the next one comes in.
  let held = new Int32Array(FIRST_LINKS * count);
  let before = new Int32Array(FIRST_LINKS * count);
  let links = 0;

  return tell => {
    const put = (e: number, cell: number): boolean => {
      const head = edgeAt(heads, cell);
      for (let link = head; link >= 0; link = edgeAt(before, link))
        if (!tell(edgeAt(held, link), e)) return false;
      if (links === held.length) [held, before] = [twice(held), twice(before)];
      heads[cell] = links;
      held[links] = e;
      before[links] = head;
      links += 1;
      return true;
    };
    for (let e = 0; e < count; e += 1) {
      const to = edgeAt(next, e);
      const ax = at(x, e);
      const ay = at(y, e);
      const bx = at(x, to);
      const by = at(y, to);
      const left = Math.min(ax, bx);
      const right = Math.max(ax, bx);
      const low = row(Math.min(ay, by));
      const high = row(Math.max(ay, by));
      const slope = (bx - ax) / (by - ay);
      const isLong = high > low + 1 && column(right) > column(left) + 1;
      for (let r = low; r <= high; r += 1) {
        let from = left;
        let until = right;
        if (isLong) {
          // A long slanting edge passes few of the cells of its box.
          const p = ax + (ys.least + r * size - ay) * slope;
          const q = p + size * slope;
          from = Math.max(left, Math.min(p, q) - MARGIN * size);
          until = Math.min(right, Math.max(p, q) + MARGIN * size);
        }
        for (let c = column(from); c <= column(until); c += 1) if (!put(e, r * columns + c)) return false;
      }
    }
    return true;
  };
};
