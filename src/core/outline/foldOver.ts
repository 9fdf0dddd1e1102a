import {
  ClipType,
  EndType,
  FillRule,
  JoinType,
  booleanOpD,
  inflatePathsD,
  simplifyPathsD,
} from 'clipper2-ts';
import { FOLD_THINNED_MM, OFFSET_ARC_MM, OFFSET_DECIMALS } from '../tolerances';
import { type Point, type Polygon, signedArea } from './polygon';

/** Outline of a resist: point i starts edge i; `open[i]` says that edge is a mouth. */
export interface MarkedOutline {
  readonly points: Polygon;
  readonly open: readonly boolean[];
}

const MITER = 2;
const plain = (p: Point): Point => ({ x: p.x, y: p.y });

/** A closed outline grown outwards with round joins, exact to the arc tolerance. Source: Steiner. */
const grow = (outline: Polygon, width: number): readonly Polygon[] => {
  const points = outline.map(plain);
  return inflatePathsD(
    [signedArea(points) >= 0 ? points : points.toReversed()],
    width,
    JoinType.Round,
    EndType.Polygon,
    MITER,
    OFFSET_DECIMALS,
    OFFSET_ARC_MM,
  ).map(path => path.map(plain));
};

/** A band outside an open edge that no wool may lie in. Assumes a counter-clockwise outline. */
const bandBeyond = (a: Point, b: Point, of: { width: number; before: number; behind: number }): Point[] => {
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const u = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  const out = { x: u.y, y: -u.x };
  const at = (along: number, away: number): Point => ({
    x: a.x + u.x * along + out.x * away,
    y: a.y + u.y * along + out.y * away,
  });
  const reach = 3 * of.width;
  return [at(-of.before, 0), at(length + of.behind, 0), at(length + of.behind, reach), at(-of.before, reach)];
};

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

/**
 * Past a corner at the end of a mouth a band reaches far, so that the wool of the edge beside it ends flush with the
 * mouth; where that edge runs on straight the band ends square. Within a curved mouth it reaches to its neighbour.
 */
const bands = (points: Polygon, open: readonly boolean[], width: number): Point[][] => {
  const n = points.length;
  const reach = (corner: number, neighbour: number): number => {
    const turn = turnAt(points, corner);
    if (open[(neighbour + n) % n]) return turn > 0 ? width : 0;
    return turn > CORNER_DEG ? 3 * width : 0;
  };
  return points.flatMap((a, i) => {
    const b = points[(i + 1) % n];
    if (!open[i] || !b) return [];
    return [bandBeyond(a, b, { width, before: reach(i, i - 1), behind: reach(i + 1, i + 1) })];
  });
};

/**
 * The outline of the wool on one face: the resist and the fold-over past its closed edges, cut off along a mouth.
 * @param resist simple outline, mm  @param width fold-over in mm, ≥ 0
 * @returns closed outlines in mm, the outer one first. Source: offset with round joins (Steiner).
 */
export const foldOver = (resist: MarkedOutline, width: number): readonly Polygon[] => {
  const given = resist.points.map(plain);
  if (!(width > 0)) return [given];
  const n = given.length;
  const ccw = signedArea(given) >= 0;
  const points = ccw ? given : given.toReversed();
  // Edge i of the outline turned round is edge n − 2 − i of the given one.
  const open = ccw ? resist.open : points.map((_, i) => resist.open[(2 * n - 2 - i) % n] ?? false);
  const grown = grow(simplifyPathsD([[...points]], FOLD_THINNED_MM)[0] ?? points, width).map(path => [
    ...path,
  ]);
  const mouths = bands(points, open, width);
  if (mouths.length === 0) return grown;
  const kept = booleanOpD(ClipType.Difference, grown, mouths, FillRule.NonZero, OFFSET_DECIMALS);
  const curved = open.some((o, i) => o && open[(i + 1) % n]);
  const whole = curved
    ? booleanOpD(ClipType.Union, kept, [[...points]], FillRule.NonZero, OFFSET_DECIMALS)
    : kept;
  return whole.map(path => path.map(plain));
};
