/** A point in mm of the piece's own frame: x along, y across. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A closed outline; the last point joins the first. Counter-clockwise encloses a positive area. */
export type Polygon = readonly Point[];

/** A box around points, mm. */
export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

const pairs = (polygon: Polygon): ReadonlyArray<readonly [Point, Point]> =>
  polygon.map((p, i) => [p, polygon[(i + 1) % polygon.length] ?? p] as const);

/** Enclosed area in mm² (shoelace), positive when counter-clockwise. */
export const signedArea = (polygon: Polygon): number => {
  let sum = 0;
  let a = polygon.at(-1);
  for (const b of polygon) {
    if (a) sum += a.x * b.y - b.x * a.y;
    a = b;
  }
  return sum / 2;
};

/** Enclosed area in mm², whichever way it runs. */
export const polygonArea = (polygon: Polygon): number => Math.abs(signedArea(polygon));

/** Area in mm² of parts of which holes run the other way round than what they are holes of. */
export const areaOfParts = (parts: readonly Polygon[]): number =>
  Math.abs(parts.reduce((sum, part) => sum + signedArea(part), 0));

/** Length in mm of an open line through the points. */
export const pathLength = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => {
    const q = points[i];
    return q ? sum + Math.hypot(p.x - q.x, p.y - q.y) : sum;
  }, 0);

/** Box around points. Of no points: an empty box at the origin. */
export const boundsOf = (points: readonly Point[]): Box => {
  const [first = { x: 0, y: 0 }] = points;
  let [minX, minY, maxX, maxY] = [first.x, first.y, first.x, first.y];
  for (const { x, y } of points) {
    minX = Math.min(minX, x);
    minY = Math.min(minY, y);
    maxX = Math.max(maxX, x);
    maxY = Math.max(maxY, y);
  }
  return { minX, minY, maxX, maxY };
};

/** Points scaled per axis about the origin. */
export const scalePoints = (points: readonly Point[], by: { x: number; y: number }): Point[] =>
  points.map(p => ({ x: p.x * by.x, y: p.y * by.y }));

/** A closed outline with a point put on each edge that passes a place along. The shape stays as it is. */
export const splitAlong = (polygon: Polygon, x: number): Polygon =>
  pairs(polygon).flatMap(([a, b]) => {
    if ((a.x - x) * (b.x - x) >= 0) return [a];
    return [a, { x, y: a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) }];
  });
