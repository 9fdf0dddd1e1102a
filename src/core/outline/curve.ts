import { CURVE_FLATNESS_MM } from '../tolerances';
import { type DrawnOutline, type DrawnPoint, wholeOutline } from './drawn';
import type { MarkedOutline } from './foldOver';
import type { Point } from './polygon';

/** A cubic curve by its two ends and two control points. */
export type Cubic = readonly [Point, Point, Point, Point];

const MOST_PIECES = 200;

const plus = (a: Point, b: Point, by: number): Point => ({ x: a.x + b.x * by, y: a.y + b.y * by });
const between = (a: Point, b: Point): Point => ({ x: b.x - a.x, y: b.y - a.y });
const unit = (p: Point): Point => {
  const length = Math.hypot(p.x, p.y) || 1;
  return { x: p.x / length, y: p.y / length };
};

/**
 * A cubic as a row of points, its first end left out, no further than the flatness from the curve.
 * @param flatnessMm > 0. Source: bound on the second differences of a Bézier curve (from memory).
 */
export const flattenCubic = (c: Cubic, flatnessMm: number = CURVE_FLATNESS_MM): Point[] => {
  const [p, q, r, s] = c;
  const bend = Math.max(
    Math.hypot(p.x - 2 * q.x + r.x, p.y - 2 * q.y + r.y),
    Math.hypot(q.x - 2 * r.x + s.x, q.y - 2 * r.y + s.y),
  );
  const n = Math.min(MOST_PIECES, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / flatnessMm))));
  return Array.from({ length: n }, (_, i) => {
    const t = (i + 1) / n;
    const u = 1 - t;
    const at = (k: 'x' | 'y'): number =>
      u * u * u * p[k] + 3 * u * u * t * q[k] + 3 * u * t * t * r[k] + t * t * t * s[k];
    return i === n - 1 ? s : { x: at('x'), y: at('y') };
  });
};

/** Direction of the line at a round point: that of the circle through it and its neighbours, chords weighted. */
const tangent = (before: Point, at: Point, after: Point): Point => {
  const [a, b] = [between(before, at), between(at, after)];
  const [la, lb] = [Math.hypot(a.x, a.y) || 1, Math.hypot(b.x, b.y) || 1];
  return unit({ x: (a.x / la) * lb + (b.x / lb) * la, y: (a.y / la) * lb + (b.y / lb) * la });
};

/** Reach of a control point that makes an arc of a circle, to 0.03 %: l/(3·cos²(φ/2)), φ between chord and tangent. */
const reach = (chord: Point, direction: Point): number => {
  const length = Math.hypot(chord.x, chord.y);
  const cos = (chord.x * direction.x + chord.y * direction.y) / (length || 1);
  return (2 * length) / (3 * (1 + Math.max(0, cos)));
};

/** The curve from one point to the next; a corner leaves straight along the chord. */
const piece = (points: readonly DrawnPoint[], i: number, closed: boolean): Cubic => {
  const n = points.length;
  const at = (k: number): DrawnPoint | undefined => (closed ? points[(k + n) % n] : points[k]);
  const here = at(i) ?? { x: 0, y: 0, round: false };
  const next = at(i + 1) ?? here;
  const chord = between(here, next);
  const way = (p: DrawnPoint, before?: Point, after?: Point): Point =>
    p.round && before && after ? tangent(before, p, after) : unit(chord);
  const leaves = way(here, at(i - 1), next);
  const arrives = way(next, here, at(i + 2));
  return [here, plus(here, leaves, reach(chord, leaves)), plus(next, arrives, -reach(chord, arrives)), next];
};

/** A row of points with round places drawn as curves; its ends are corners. */
export const curvedLine = (points: readonly DrawnPoint[], flatnessMm?: number): Point[] => {
  const [first] = points;
  if (!first) return [];
  return [
    { x: first.x, y: first.y },
    ...points.slice(1).flatMap((_, i) => flattenCubic(piece(points, i, false), flatnessMm)),
  ];
};

const curve = (drawn: DrawnOutline, flatnessMm?: number): MarkedOutline => {
  const { points: given, open: isOpen } = wholeOutline(drawn);
  const points: Point[] = [];
  const open: boolean[] = [];
  given.forEach((p, i) => {
    const next = given[(i + 1) % given.length] ?? p;
    const mark = isOpen[i] ?? false;
    points.push({ x: p.x, y: p.y });
    open.push(mark);
    if (!p.round && !next.round) return;
    for (const q of flattenCubic(piece(given, i, true), flatnessMm).slice(0, -1)) {
      points.push(q);
      open.push(mark);
    }
  });
  return { points, open };
};

/** Outlines as they are cut, by the drawn one: an outline that did not change is not curved again. */
const known = new WeakMap<DrawnOutline, MarkedOutline>();

/** The outline as it is cut: curves as rows of points, open edges marked. */
export const curvedOutline = (drawn: DrawnOutline, flatnessMm?: number): MarkedOutline => {
  if (flatnessMm !== undefined) return curve(drawn, flatnessMm);
  const before = known.get(drawn);
  if (before) return before;
  const made = curve(drawn);
  known.set(drawn, made);
  return made;
};
