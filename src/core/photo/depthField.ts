import { insideOf } from '../evenness/layOut';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';

/** The square of how far a place lies from a straight edge. */
const fromEdge = (p: Point, a: Point, b: Point): number => {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const along = dx * dx + dy * dy;
  const t = along > 0 ? Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / along)) : 0;
  return (p.x - a.x - t * dx) ** 2 + (p.y - a.y - t * dy) ** 2;
};

/** Whether a place lies within an outline, by the crossings of a line to its right. */
export const isWithin = (outline: Polygon, p: Point): boolean => {
  let inside = false;
  let a = outline.at(-1);
  for (const b of outline) {
    if (a && a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) * (b.x - a.x)) / (b.y - a.y))
      inside = !inside;
    a = b;
  }
  return inside;
};

/** How deep within an outline a place lies, mm; less than nothing outside. Exact, and linear in the outline. */
export const depthIn = (outline: Polygon, p: Point): number => {
  let nearest = Number.POSITIVE_INFINITY;
  let a = outline.at(-1);
  for (const b of outline) {
    if (a) nearest = Math.min(nearest, fromEdge(p, a, b));
    a = b;
  }
  const depth = Math.sqrt(nearest);
  return isWithin(outline, p) ? depth : -depth;
};

/** Of each node of a grid the edge of an outline that lies nearest, found by handing edges on from neighbour to neighbour: right but for a tie here and there. */
const nearestEdges = (
  edges: ReadonlyArray<readonly [Point, Point]>,
  grid: {
    readonly left: number;
    readonly top: number;
    readonly cellMm: number;
    readonly columns: number;
    readonly rows: number;
  },
): Float32Array => {
  const { left, top, cellMm, columns, rows } = grid;
  const squares = new Float32Array(columns * rows).fill(Number.POSITIVE_INFINITY);
  const nearest = new Int32Array(columns * rows).fill(-1);
  const tryEdge = (node: number, edge: number): void => {
    const [a, b] = edges[edge] ?? [];
    if (!a || !b || nearest[node] === edge) return;
    const p = { x: left + (node % columns) * cellMm, y: top + Math.floor(node / columns) * cellMm };
    const square = fromEdge(p, a, b);
    if (square < (squares[node] ?? 0)) {
      squares[node] = square;
      nearest[node] = edge;
    }
  };
  edges.forEach(([a, b], edge) => {
    const steps = Math.ceil((2 * Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2)) / cellMm) + 1;
    for (let i = 0; i <= steps; i += 1) {
      const [x, y] = [a.x + (i / steps) * (b.x - a.x), a.y + (i / steps) * (b.y - a.y)];
      const node = Math.round((y - top) / cellMm) * columns + Math.round((x - left) / cellMm);
      for (const d of [0, 1, -1, columns, -columns])
        if (node + d >= 0 && node + d < squares.length) tryEdge(node + d, edge);
    }
  });
  const around = [1, columns - 1, columns, columns + 1];
  const handOn = (node: number, by: number): void => {
    const from = node + by;
    if (from >= 0 && from < squares.length && (nearest[from] ?? -1) >= 0) tryEdge(node, nearest[from] ?? 0);
  };
  for (let round = 0; round < 2; round += 1) {
    for (let node = 0; node < squares.length; node += 1) for (const d of around) handOn(node, -d);
    for (let node = squares.length - 1; node >= 0; node -= 1) for (const d of around) handOn(node, d);
  }
  return squares;
};

/**
 * The same for many places: worked out once on a grid and read between its cells.
 * @param cellMm how fine  @param beyondMm how far round the outline; further out it is −beyondMm
 */
export const depthField = (outline: Polygon, cellMm: number, beyondMm: number): ((p: Point) => number) => {
  const box = boundsOf(outline);
  const [left, top] = [box.minX - beyondMm, box.minY - beyondMm];
  const columns = Math.ceil((box.maxX - box.minX + 2 * beyondMm) / cellMm) + 2;
  const rows = Math.ceil((box.maxY - box.minY + 2 * beyondMm) / cellMm) + 2;
  const edges = outline.map((p, i) => [p, outline[(i + 1) % outline.length] ?? p] as const);
  const squares = nearestEdges(edges, { left, top, cellMm, columns, rows });
  const half = cellMm / 2;
  const inside = insideOf([outline], { left: left - half, top: top - half, cellMm, columns, rows });
  const field = squares.map((square, node) => (inside[node] === 1 ? 1 : -1) * Math.sqrt(square));
  return ({ x, y }) => {
    const [fx, fy] = [(x - left) / cellMm, (y - top) / cellMm];
    const [c, r] = [Math.floor(fx), Math.floor(fy)];
    if (c < 0 || r < 0 || c >= columns - 1 || r >= rows - 1) return -beyondMm;
    const [u, v] = [fx - c, fy - r];
    const at = r * columns + c;
    return (
      ((field[at] ?? 0) * (1 - u) + (field[at + 1] ?? 0) * u) * (1 - v) +
      ((field[at + columns] ?? 0) * (1 - u) + (field[at + columns + 1] ?? 0) * u) * v
    );
  };
};
