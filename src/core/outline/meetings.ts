import { at, edgeAt, type Edges, side } from './edges';
import { nearEdges } from './grid';
import type { Point } from './polygon';

/** A place where an edge is crossed, seen from one of the two. */
export interface Meeting {
  readonly at: Point;
  /** How far along the own edge, share. */
  readonly along: number;
  /** The other edge crosses from right to left (1) or from left to right (−1). */
  readonly turn: 1 | -1;
  readonly own: number;
  twin: Meeting | null;
  /** How often what lies to the right of the own edge, from here on, is gone round; set when it is walked. */
  right: number;
  isTaken: boolean;
}

/** Where edges cross, by edge, in order along each. */
export type Meetings = ReadonlyMap<number, readonly Meeting[]>;

/** An edge that turns straight back upon the one before. */
const turnsBack = (edges: Edges, e: number): boolean => {
  const { x, y, next } = edges;
  const [p, q] = [edgeAt(next, e), edgeAt(next, edgeAt(next, e))];
  if (side(edges, e, q) !== 0) return false;
  return (at(x, p) - at(x, e)) * (at(x, q) - at(x, p)) + (at(y, p) - at(y, e)) * (at(y, q) - at(y, p)) <= 0;
};

const apart = (
  array: Float64Array,
  [a, b]: readonly [number, number],
  [c, d]: readonly [number, number],
): boolean =>
  Math.max(at(array, a), at(array, b)) < Math.min(at(array, c), at(array, d)) ||
  Math.max(at(array, c), at(array, d)) < Math.min(at(array, a), at(array, b));

const meetingAt = (
  place: Point,
  of: { readonly own: number; readonly along: number; readonly fromRight: boolean },
): Meeting => ({
  at: place,
  along: of.along,
  turn: of.fromRight ? 1 : -1,
  own: of.own,
  twin: null,
  right: 0,
  isTaken: false,
});

/** Notes where two edges cross; false where they touch: an end on an edge, one lying on the other. */
const noting = (edges: Edges, found: Map<number, Meeting[]>) => {
  const { count, x, y, next } = edges;
  const known = new Set<number>();
  const note = (m: Meeting): void => {
    const own = found.get(m.own);
    if (own) own.push(m);
    else found.set(m.own, [m]);
  };
  return (e: number, f: number): boolean => {
    const b = edgeAt(next, e);
    const d = edgeAt(next, f);
    if (b === f || d === e) return true;
    const u = side(edges, e, f);
    const v = side(edges, e, d);
    if (u * v > 0) return true;
    const s = side(edges, f, e);
    const t = side(edges, f, b);
    if (s * t > 0) return true;
    if (u * v === 0 || s * t === 0) return apart(x, [e, b], [f, d]) || apart(y, [e, b], [f, d]);
    // Two long edges share many cells and cross once.
    const pair = Math.min(e, f) * count + Math.max(e, f);
    if (known.has(pair)) return true;
    known.add(pair);
    const along = s / (s - t);
    const place = {
      x: at(x, e) + (at(x, b) - at(x, e)) * along,
      y: at(y, e) + (at(y, b) - at(y, e)) * along,
    };
    const one = meetingAt(place, { own: e, along, fromRight: u < 0 });
    const other = meetingAt(place, { own: f, along: u / (u - v), fromRight: s < 0 });
    one.twin = other;
    other.twin = one;
    note(one);
    note(other);
    return true;
  };
};

/**
 * Every place where two edges of closed outlines cross, found over a grid: about as many steps as there are edges, for
 * outlines people draw.
 * @param edges mm, no two neighbouring points the same
 * @returns null where edges touch without crossing, or a place is no number
 */
export const meetingsOf = (edges: Edges): Meetings | null => {
  const found = new Map<number, Meeting[]>();
  if (edges.count === 0) return found;
  for (let e = 0; e < edges.count; e += 1) if (turnsBack(edges, e)) return null;
  const eachPair = nearEdges(edges);
  if (!eachPair?.(noting(edges, found))) return null;
  for (const own of found.values()) if (own.length > 1) own.sort((p, q) => p.along - q.along);
  return found;
};
