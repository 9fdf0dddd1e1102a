import { ClipType, EndType, FillRule, JoinType, booleanOpD, inflatePathsD } from 'clipper2-ts';
import { OFFSET_ARC_MM, OFFSET_DECIMALS } from '../tolerances';
import { type Point, type Polygon, signedArea } from './polygon';

/** Outline of a resist: point i starts edge i; `open[i]` says that edge is a mouth. */
export interface MarkedOutline {
  readonly points: Polygon;
  readonly open: readonly boolean[];
}

const MITER = 2;
const plain = (p: Point): Point => ({ x: p.x, y: p.y });

/** A band outside an open edge that no wool may lie in. Assumes a counter-clockwise outline. */
const bandBeyond = (a: Point, b: Point, width: number): Point[] => {
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const u = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  const out = { x: u.y, y: -u.x };
  const at = (along: number, away: number): Point => ({
    x: a.x + u.x * along + out.x * away,
    y: a.y + u.y * along + out.y * away,
  });
  const reach = 3 * width;
  return [at(-reach, 0), at(length + reach, 0), at(length + reach, reach), at(-reach, reach)];
};

/**
 * The outline of the wool on one face: the resist and the fold-over past its closed edges, cut off along a mouth.
 * @param resist simple outline, mm  @param width fold-over in mm, ≥ 0
 * @returns closed outlines in mm, the outer one first. Source: offset with round joins (Steiner).
 */
export const foldOver = (resist: MarkedOutline, width: number): readonly Polygon[] => {
  const points = resist.points.map(plain);
  if (!(width > 0)) return [points];
  const ccw = signedArea(points) >= 0;
  const grown = inflatePathsD(
    [ccw ? points : points.toReversed()],
    width,
    JoinType.Round,
    EndType.Polygon,
    MITER,
    OFFSET_DECIMALS,
    OFFSET_ARC_MM,
  );
  const bands = resist.points.flatMap((a, i) => {
    const b = points[(i + 1) % points.length];
    return resist.open[i] && b ? [ccw ? bandBeyond(a, b, width) : bandBeyond(b, a, width)] : [];
  });
  const kept =
    bands.length === 0
      ? grown
      : booleanOpD(ClipType.Difference, grown, bands, FillRule.NonZero, OFFSET_DECIMALS);
  return kept.map(path => path.map(plain));
};
