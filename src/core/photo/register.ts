import { leastSquares } from '../numeric/leastSquares';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';
import { depthField } from './depthField';

/** How a laid outline lies on the table as a piece that has shrunk: shorter along and across, turned, maybe seen from its back. */
export interface Placed {
  readonly along: number;
  readonly across: number;
  readonly turnRad: number;
  readonly isMirrored: boolean;
  /** Where the outline’s own middle lies, mm. */
  readonly at: Point;
  /** The outline’s own middle, in its own frame. */
  readonly middle: Point;
}

/** From the outline’s frame onto the table. */
export const toTable = (placed: Placed, p: Point): Point => {
  const [c, s] = [Math.cos(placed.turnRad), Math.sin(placed.turnRad)];
  const u = (placed.isMirrored ? -1 : 1) * placed.along * (p.x - placed.middle.x);
  const v = placed.across * (p.y - placed.middle.y);
  return { x: placed.at.x + c * u - s * v, y: placed.at.y + s * u + c * v };
};
/** The way back. */
export const toLaid = (placed: Placed, q: Point): Point => {
  const [c, s] = [Math.cos(placed.turnRad), Math.sin(placed.turnRad)];
  const [dx, dy] = [q.x - placed.at.x, q.y - placed.at.y];
  const [u, v] = [c * dx + s * dy, -s * dx + c * dy];
  return {
    x: placed.middle.x + ((placed.isMirrored ? -1 : 1) * u) / placed.along,
    y: placed.middle.y + v / placed.across,
  };
};

/** How deep in an outline a place lies, for laying it onto rims; worked out once. */
export const outlineDepth = (outline: Polygon): ((p: Point) => number) => {
  const box = boundsOf(outline);
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  return depthField(outline, Math.max(1, size / 160), 0.25 * size);
};

/** Lays an outline onto a rim: shift, turn and two shares, so that the rim lies on it. @returns it, and how far the rim lies off on average, mm */
export const registerOn = (
  depth: (p: Point) => number,
  rim: Polygon,
  start: Placed,
): { readonly placed: Placed; readonly offMm: number } => {
  const every = Math.max(1, Math.floor(rim.length / 160));
  const few = rim.filter((_, i) => i % every === 0);
  const at = (x: ArrayLike<number>): Placed => ({
    ...start,
    along: start.along * Math.exp(0.1 * (x[0] ?? 0)),
    across: start.across * Math.exp(0.1 * (x[1] ?? 0)),
    turnRad: start.turnRad + 0.1 * (x[2] ?? 0),
    at: { x: start.at.x + 10 * (x[3] ?? 0), y: start.at.y + 10 * (x[4] ?? 0) },
  });
  const off = (x: Float64Array): Float64Array => {
    const placed = at(x);
    const share = Math.sqrt(placed.along * placed.across);
    const values = few.map(q => share * depth(toLaid(placed, q)));
    // A bulge here or there counts little more the larger it is.
    return Float64Array.from(values, v =>
      Math.abs(v) < 4 ? v : Math.sign(v) * Math.sqrt(8 * Math.abs(v) - 16),
    );
  };
  const { x, cost } = leastSquares(off, [0, 0, 0, 0, 0], 20);
  return { placed: at(x), offMm: Math.sqrt(cost / few.length) };
};

/** A place of the piece as it is now, turned back as the plan lies. */
export const unturned = (placed: Placed, p: Point): Point => {
  const [c, s] = [Math.cos(placed.turnRad), Math.sin(placed.turnRad)];
  const [dx, dy] = [p.x - placed.at.x, p.y - placed.at.y];
  const u = c * dx + s * dy;
  return { x: placed.middle.x + (placed.isMirrored ? -u : u), y: placed.middle.y - s * dx + c * dy };
};
