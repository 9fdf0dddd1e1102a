import { edgesOf } from './edges';
import { crossNowhere, meetingsOf } from './meetings';
import type { Point, Polygon } from './polygon';

const side = (a: Point, b: Point, p: Point): number => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);

/** Where two segments cross or lie on one another; null where they only share an end or stay apart. */
const meet = (a: Point, b: Point, [c, d]: readonly [Point, Point]): Point | null => {
  const [s, t] = [side(c, d, a), side(c, d, b)];
  const [u, v] = [side(a, b, c), side(a, b, d)];
  if (s * t > 0 || u * v > 0) return null;
  if (s === t) {
    // On one line: they overlap when one holds an end of the other.
    const along = (p: Point): number => (p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y);
    const whole = along(b);
    const [lo, hi] = [Math.min(along(c), along(d)), Math.max(along(c), along(d))];
    return s === 0 && hi > 0 && lo < whole ? c : null;
  }
  const part = s / (s - t);
  return { x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part };
};

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly i: number;
  readonly left: number;
  readonly right: number;
}

/**
 * The first place where a closed outline crosses or touches itself, found by a sweep from left to right.
 * @param outline mm, no two neighbours the same
 * @returns the place, mm, or null for a simple outline. About n·√n steps for outlines people draw.
 */
export const selfCrossing = (outline: Polygon): Point | null => {
  const meetings = meetingsOf(edgesOf([outline]));
  if (meetings && crossNowhere(meetings)) return null;
  const n = outline.length;
  const edges = outline
    .flatMap((a, i): Edge[] => {
      const b = outline[(i + 1) % n];
      return b ? [{ a, b, i, left: Math.min(a.x, b.x), right: Math.max(a.x, b.x) }] : [];
    })
    .toSorted((e, f) => e.left - f.left);
  let active: Edge[] = [];
  for (const e of edges) {
    active = active.filter(f => f.right >= e.left);
    const [low, high] = [Math.min(e.a.y, e.b.y), Math.max(e.a.y, e.b.y)];
    for (const f of active) {
      const apart = Math.abs(e.i - f.i);
      if (apart === 1 || apart === n - 1) {
        // Neighbours share an end; they lie on one another only where the line turns straight back.
        const [first, second] = (e.i + 1) % n === f.i ? [e, f] : [f, e];
        const back =
          (first.b.x - first.a.x) * (second.b.x - second.a.x) +
          (first.b.y - first.a.y) * (second.b.y - second.a.y);
        if (side(first.a, first.b, second.b) === 0 && back < 0) return first.b;
        continue;
      }
      if (Math.max(f.a.y, f.b.y) < low || Math.min(f.a.y, f.b.y) > high) continue;
      const place = meet(e.a, e.b, [f.a, f.b]);
      if (place) return place;
    }
    active.push(e);
  }
  return null;
};
