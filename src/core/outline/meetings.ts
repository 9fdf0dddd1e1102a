import { at, edgeAt, type Edges } from './edges';
import { tellNear } from './grid';
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

/** Where edges cross: laid out flat, since every edge is asked, and most cross none. */
export interface Meetings {
  /** Of each edge that crosses any its meetings, in order along it; the first list is that of all the others, and empty. */
  readonly lists: ReadonlyArray<readonly Meeting[]>;
  /** Of each edge, which list is its own. */
  readonly listOf: Int32Array;
}

/** Whether no edge crosses any other. */
export const crossNowhere = ({ lists }: Meetings): boolean => lists.length === 1;

/** Puts a meeting where it belongs along its edge; there are seldom more than two. */
const insert = (list: Meeting[], m: Meeting): void => {
  const after = list.findIndex(other => other.along > m.along);
  if (after < 0) list.push(m);
  else list.splice(after, 0, m);
};

/** Writes down meetings by the edges they are seen from. */
const meetingBook = (count: number) => {
  const lists: Meeting[][] = [[]];
  const listOf = new Int32Array(count);
  const note = (m: Meeting): void => {
    const own = lists[edgeAt(listOf, m.own)];
    if (own && own !== lists[0]) {
      insert(own, m);
      return;
    }
    listOf[m.own] = lists.length;
    lists.push([m]);
  };
  return { lists, listOf, note };
};

/** Whether any edge turns straight back upon the one before. */
const turnsBack = ({ count, x, y, next }: Edges): boolean => {
  for (let e = 0; e < count; e += 1) {
    const p = next[e] ?? 0;
    const q = next[p] ?? 0;
    const ux = (x[p] ?? 0) - (x[e] ?? 0);
    const uy = (y[p] ?? 0) - (y[e] ?? 0);
    const vx = (x[q] ?? 0) - (x[p] ?? 0);
    const vy = (y[q] ?? 0) - (y[p] ?? 0);
    if (ux * vy - uy * vx === 0 && ux * vx + uy * vy <= 0) return true;
  }
  return false;
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
const noting = (edges: Edges, note: (m: Meeting) => void) => {
  const { count, x, y, next } = edges;
  const known = new Set<number>();
  return (e: number, f: number): boolean => {
    const b = next[e] ?? 0;
    const d = next[f] ?? 0;
    if (b === f || d === e) return true;
    const ax = x[e] ?? 0;
    const ay = y[e] ?? 0;
    const bx = x[b] ?? 0;
    const by = y[b] ?? 0;
    const cx = x[f] ?? 0;
    const cy = y[f] ?? 0;
    const dx = x[d] ?? 0;
    const dy = y[d] ?? 0;
    const u = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    const v = (bx - ax) * (dy - ay) - (by - ay) * (dx - ax);
    if (u * v > 0) return true;
    const s = (dx - cx) * (ay - cy) - (dy - cy) * (ax - cx);
    const t = (dx - cx) * (by - cy) - (dy - cy) * (bx - cx);
    if (s * t > 0) return true;
    if (u * v === 0 || s * t === 0) return apart(x, [e, b], [f, d]) || apart(y, [e, b], [f, d]);
    // Two long edges share many cells and cross once.
    const pair = Math.min(e, f) * count + Math.max(e, f);
    if (known.has(pair)) return true;
    known.add(pair);
    const along = s / (s - t);
    const place = { x: ax + (bx - ax) * along, y: ay + (by - ay) * along };
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
  const { lists, listOf, note } = meetingBook(edges.count);
  if (edges.count === 0) return { lists, listOf };
  if (turnsBack(edges)) return null;
  return tellNear(edges, noting(edges, note)) ? { lists, listOf } : null;
};
