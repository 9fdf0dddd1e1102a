import type { Point, Polygon } from './polygon';

/** Above this turn the closed edge beside a mouth leads away from it, degrees; below it runs on beside the mouth. */
const CORNER_DEG = 30;

/** How far the outline turns at a point, degrees, positive to the inside of a counter-clockwise outline. */
const turnAt = (points: Polygon, i: number): number => {
  const n = points.length;
  const [a, b, c] = [points[(i - 1 + n) % n], points[i % n], points[(i + 1) % n]];
  if (!a || !b || !c) return 0;
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return (Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) * 180) / Math.PI;
};

/** How far a band reaches outwards, in widths: beyond the wool everywhere, its rounded corners included. */
const BAND_REACH = 1.5;
/** How far it reaches sideways past a corner, in widths. */
const PAST_CORNER = 3;

const outwards = (a: Point, b: Point): Point => {
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: (b.y - a.y) / length, y: -(b.x - a.x) / length };
};

/**
 * The band outside one mouth, in which no wool may lie: from the mouth's own line outwards. Past a corner at its end
 * it reaches far, so that the wool of the edge beside it ends flush with the mouth; where that edge runs on straight
 * the band ends square. Assumes a counter-clockwise outline.
 */
export const bandOf = (points: Polygon, run: readonly number[], width: number): Point[] => {
  const n = points.length;
  const at = (i: number): Point => points[(i + n) % n] ?? { x: 0, y: 0 };
  const [first, last] = [run[0] ?? 0, run.at(-1) ?? 0];
  const past = (corner: number): number => (turnAt(points, corner) > CORNER_DEG ? PAST_CORNER * width : 0);
  const along = (p: Point, q: Point, by: number): Point => {
    const length = Math.hypot(q.x - p.x, q.y - p.y) || 1;
    return { x: p.x + ((q.x - p.x) * by) / length, y: p.y + ((q.y - p.y) * by) / length };
  };
  const inner = [
    along(at(first), at(first + 1), -past(first)),
    ...run.slice(1).map(at),
    along(at(last + 1), at(last), -past(last + 1)),
  ];
  const outer = inner.map((p, i) => {
    const before = outwards(at(run[Math.max(0, i - 1)] ?? first), at((run[Math.max(0, i - 1)] ?? first) + 1));
    const after = outwards(
      at(run[Math.min(run.length - 1, i)] ?? last),
      at((run[Math.min(run.length - 1, i)] ?? last) + 1),
    );
    const [nx, ny] = [before.x + after.x, before.y + after.y];
    const length = Math.hypot(nx, ny) || 1;
    // At a bend the outer line runs further out, so that the whole width is covered on both sides of it.
    const reach = (BAND_REACH * width * 2) / Math.max(1, length);
    return { x: p.x + (nx / length) * reach, y: p.y + (ny / length) * reach };
  });
  return [...inner, ...outer.toReversed()];
};

/** Edges of an outline that are open and follow one another: one mouth, by the numbers of its edges. */
export type Mouth = readonly number[];

/** The mouths of an outline: neighbouring open edges are one. Of an outline all round open: none. */
export const mouthsOf = (open: readonly boolean[]): readonly Mouth[] => {
  if (!open.includes(true)) return [];
  const n = open.length;
  const starts = open.flatMap((is, i) => (is && !open[(i - 1 + n) % n] ? [i] : []));
  return starts.map(start => {
    const run: number[] = [];
    for (let i = start; open[i % n] && run.length < n; i += 1) run.push(i % n);
    return run;
  });
};
