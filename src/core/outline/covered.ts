import { at, edgeAt, type Edges, edgesOf } from './edges';
import { crossNowhere, type Meeting, type Meetings, meetingsOf } from './meetings';
import { type Point, type Polygon, polygonArea, signedArea } from './polygon';

/** How often the place just to the right of an edge's beginning is gone round. The edge is not level. */
const rightOf = ({ count, x, y, next }: Edges, edge: number, meetings: Meetings): number => {
  const rises = at(y, edgeAt(next, edge)) > at(y, edge);
  // Between its beginning and its first crossing.
  const along = (meetings.lists[edgeAt(meetings.listOf, edge)]?.[0]?.along ?? 1) / 2;
  const px = at(x, edge) + (at(x, edgeAt(next, edge)) - at(x, edge)) * along;
  const py = at(y, edge) + (at(y, edgeAt(next, edge)) - at(y, edge)) * along;
  // Right of a falling edge lies before it as seen along a ray to the right, so that the ray passes it as well.
  let times = rises ? 0 : -1;
  for (let e = 0; e < count; e += 1) {
    const ay = at(y, e);
    const by = at(y, edgeAt(next, e));
    if (e === edge || ay <= py === by <= py) continue;
    const ax = at(x, e);
    const bx = at(x, edgeAt(next, e));
    if (ax + ((py - ay) / (by - ay)) * (bx - ax) > px) times += by > ay ? 1 : -1;
  }
  return times;
};

/** Edges of which the right side, where they begin, is not gone round at all: there a rim begins. */
type Bare = Uint8Array;

/** Notes how often the right side is gone round all along one outline; false when that does not agree once it comes round. */
const walk = (
  { next }: Edges,
  { lists, listOf }: Meetings,
  from: { edge: number; right: number; bare: Bare },
): boolean => {
  let now = from.right;
  let { edge } = from;
  do {
    if (now === 0) from.bare[edge] = 1;
    const list = listOf[edge] ?? 0;
    if (list > 0)
      for (const m of lists[list] ?? []) {
        now -= m.turn;
        m.right = now;
      }
    edge = edgeAt(next, edge);
  } while (edge !== from.edge);
  return now === from.right;
};

/** Follows rims from one place on each until they come back, changing to the other edge at every crossing. */
const following = ({ count, x, y, next }: Edges, { lists, listOf }: Meetings, bare: Bare) => {
  const taken = new Uint8Array(count);
  const most = 3 * count;
  /** From a crossing on an edge by its number, or from the edge's beginning: −1. Null where what was noted does not agree. */
  const follow = (edge: number, k: number): Point[] | null => {
    const rim: Point[] = [];
    let [e, crossing] = [edge, k];
    for (let step = 0; step < most; step += 1) {
      if (crossing < 0) {
        if (!bare[e]) return null;
        rim.push({ x: x[e] ?? 0, y: y[e] ?? 0 });
        taken[e] = 1;
      }
      const list = listOf[e] ?? 0;
      const met: Meeting | undefined = list > 0 ? lists[list]?.[crossing + 1] : undefined;
      if (met) {
        const { twin } = met;
        if (!twin || twin.right !== 0) return null;
        rim.push(met.at);
        twin.isTaken = true;
        e = twin.own;
        crossing = lists[listOf[e] ?? 0]?.indexOf(twin) ?? -1;
      } else {
        e = next[e] ?? 0;
        crossing = -1;
      }
      if (e === edge && crossing === k) return rim;
    }
    return null;
  };
  return { follow, isTaken: (e: number): boolean => taken[e] === 1 };
};

/**
 * What closed outlines cover together: every place that they go round more often counter-clockwise than clockwise.
 * @param outlines mm; may cross themselves and one another; a clockwise one takes away
 * @returns its rims, the largest first: outer ones counter-clockwise, holes clockwise; null where edges touch or lie on
 * one another, which has no plain answer
 * Source: winding numbers; along an outline they change by one at each crossing, by the side it comes from.
 */
export const coveredBy = (outlines: readonly Polygon[]): Polygon[] | null => {
  const edges = edgesOf(outlines);
  const meetings = meetingsOf(edges);
  if (!meetings) return null;
  const [only] = outlines;
  // One that nowhere crosses itself covers what it goes round, or nothing.
  if (only && outlines.length === 1 && crossNowhere(meetings)) {
    const area = signedArea(only);
    if (area !== 0) return area > 0 ? [only.map(({ x, y }) => ({ x, y }))] : [];
  }
  const bare: Bare = new Uint8Array(edges.count);
  for (const [k, start] of edges.starts.entries()) {
    const end = edges.starts[k + 1] ?? edges.count;
    let edge = start;
    while (edge < end && at(edges.y, edge) === at(edges.y, edgeAt(edges.next, edge))) edge += 1;
    if (edge === end) return null;
    if (!walk(edges, meetings, { edge, right: rightOf(edges, edge, meetings), bare })) return null;
  }
  const rims: Point[][] = [];
  const { follow, isTaken } = following(edges, meetings, bare);
  const take = (edge: number, k: number): boolean => {
    const rim = follow(edge, k);
    if (rim) rims.push(rim);
    return rim !== null;
  };
  for (let e = 0; e < edges.count; e += 1) if (bare[e] && !isTaken(e) && !take(e, -1)) return null;
  for (const own of meetings.lists)
    for (const [k, m] of own.entries()) if (m.right === 0 && !m.isTaken && !take(m.own, k)) return null;
  return rims.length < 2 ? rims : rims.toSorted((p, q) => polygonArea(q) - polygonArea(p));
};
