import type { Point, Polygon } from './polygon';

/** The largest turn of a round corner's pieces, radians, so that they stay as near to the arc as asked. */
const largestTurn = (width: number, arcMm: number): number => 2 * Math.acos(1 - Math.min(1, arcMm / width));

/** The way of an edge: along it, of length 1, and how long it is, mm. */
interface Way {
  readonly x: number;
  readonly y: number;
  readonly length: number;
}

const wayOf = (p: Point, q: Point): Way => {
  const dx = q.x - p.x;
  const dy = q.y - p.y;
  const length = Math.sqrt(dx * dx + dy * dy);
  return { x: dx / length, y: dy / length, length };
};

/** A round corner at a distance from p, from beside the way before to beside the way after. */
const putArc = (
  out: Point[],
  p: Point,
  arc: { before: Way; turn: number; width: number; most: number },
): void => {
  const { before, turn, width } = arc;
  const pieces = Math.ceil(turn / arc.most);
  for (let k = 0; k <= pieces; k += 1) {
    const c = width * Math.cos((k * turn) / pieces);
    const s = width * Math.sin((k * turn) / pieces);
    out.push({ x: p.x + before.y * c + before.x * s, y: p.y + before.y * s - before.x * c });
  }
};

/**
 * The line at a distance outside an outline, edge by edge with round corners; it crosses itself where corners turn in
 * and there is no room: what it goes round counter-clockwise is all that lies within the distance.
 * @param points a simple outline, counter-clockwise, mm  @param width > 0, mm  @param arcMm how far a round corner may be cut short, mm
 * Source: offset with round joins (Steiner); raw offset curves, from memory.
 */
export const rawOffset = (points: Polygon, width: number, arcMm: number): Point[] => {
  const most = largestTurn(width, arcMm);
  const half = Math.min(most, Math.PI) / 2;
  const sharp = Math.sin(half);
  const blunt = Math.cos(half);
  const out: Point[] = [];
  let p = points.at(-1) ?? { x: 0, y: 0 };
  let before = wayOf(points.findLast(q => q.x !== p.x || q.y !== p.y) ?? p, p);
  for (const q of points) {
    const after = wayOf(p, q);
    if (after.length === 0) continue;
    const cross = before.x * after.y - before.y * after.x;
    const dot = before.x * after.x + before.y * after.y;
    if (cross > sharp || (cross > 0 && dot < blunt))
      putArc(out, p, { before, turn: Math.atan2(cross, dot), width, most });
    else if (dot > 0 && (-width * cross) / (1 + dot) <= Math.min(before.length, after.length) / 2) {
      // Where there is room for it, the two lines end where they meet; so they do at a corner that hardly turns out.
      const by = width / (1 + dot);
      out.push({ x: p.x + (before.y + after.y) * by, y: p.y - (before.x + after.x) * by });
    } else
      out.push(
        { x: p.x + before.y * width, y: p.y - before.x * width },
        { x: p.x, y: p.y },
        { x: p.x + after.y * width, y: p.y - after.x * width },
      );
    p = q;
    before = after;
  }
  return out;
};
