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
import { coveredBy } from './covered';
import { bandOf, type Mouth, mouthsOf } from './mouthBand';
import { boundsOf, type Box, pathLength, type Point, type Polygon, signedArea } from './polygon';
import { rawOffset } from './rawOffset';
import { selfCrossing } from './crossing';

/** Outline of a resist: point i starts edge i; `open[i]` says that edge is a mouth. */
export interface MarkedOutline {
  readonly points: Polygon;
  readonly open: readonly boolean[];
}

const MITER = 2;
type Paths = Point[][];
const plain = (p: Point): Point => ({ x: p.x, y: p.y });
const copied = (paths: readonly Polygon[]): Paths => paths.map(path => path.map(plain));

/** Everything within a distance of closed outlines or of open lines, with round joins and ends, exact to the arc tolerance. Source: Steiner. */
const within = (
  paths: Paths,
  width: number,
  { of, finenessMm }: { of: EndType; finenessMm: number },
): Paths =>
  copied(
    inflatePathsD(
      paths,
      width,
      JoinType.Round,
      of,
      MITER,
      OFFSET_DECIMALS,
      Math.max(OFFSET_ARC_MM, finenessMm),
    ),
  );

const combine = (how: ClipType, subject: Paths, clip: Paths): Paths =>
  copied(booleanOpD(how, subject, clip, FillRule.NonZero, OFFSET_DECIMALS));

/** Wool this near to a mouth, in widths along the edge, ends at the mouth's line; what lies further away has nothing to do with it. */
const NEAR_MOUTH = 3;

/** A line from one length along it to another, mm. */
const stretchOf = (line: readonly Point[], from: number, to: number): Point[] => {
  const out: Point[] = [];
  let at = 0;
  line.forEach((p, i) => {
    const q = line[i - 1];
    if (q) {
      const length = Math.hypot(p.x - q.x, p.y - q.y);
      const on = (t: number): Point => ({ x: q.x + (p.x - q.x) * t, y: q.y + (p.y - q.y) * t });
      for (const cut of [from, to]) if (cut > at && cut < at + length) out.push(on((cut - at) / length));
      at += length;
    }
    if (at >= from && at <= to) out.push(plain(p));
  });
  return out;
};

/** A stretch of closed edges, and the mouths that its wool ends at. */
interface EdgeRun {
  readonly line: Point[];
  readonly mouths: readonly number[];
}

/** The closed edges between the mouths, each in its part near the mouth before it, the part near the one after, and the rest. */
const stretches = (points: Polygon, mouths: readonly Mouth[], near: number): EdgeRun[] => {
  const n = points.length;
  return mouths.flatMap((mouth, m) => {
    const after = (m + 1) % mouths.length;
    const [from, to] = [((mouth.at(-1) ?? 0) + 1) % n, mouths[after]?.[0] ?? 0];
    const line: Point[] = [];
    for (let i = from; ; i = (i + 1) % n) {
      const p = points[i];
      if (p) line.push(p);
      if (i === to) break;
    }
    const length = pathLength(line);
    if (length <= 2 * near) return [{ line, mouths: [m, after] }];
    return [
      { line: stretchOf(line, 0, near), mouths: [m] },
      { line: stretchOf(line, near, length - near), mouths: [] },
      { line: stretchOf(line, length - near, length), mouths: [after] },
    ];
  });
};

const meets = (a: Box, b: Box, by: number): boolean =>
  a.minX - by < b.maxX && b.minX - by < a.maxX && a.minY - by < b.maxY && b.minY - by < a.maxY;

/** Whether a band may reach wool that does not end at its mouth: boxes tell, and are seldom wrong. */
const mayBite = (bands: Paths, all: readonly EdgeRun[], width: number): boolean =>
  bands.some((band, m) => {
    const box = boundsOf(band);
    return all.some(
      ({ line, mouths }) =>
        !mouths.includes(m) &&
        line.some((p, i) => {
          const q = line[i + 1];
          return q !== undefined && meets(box, boundsOf([p, q]), width);
        }),
    );
  });

/** Everything within a distance of a simple, counter-clockwise outline: written straight down, or by the polygon library where edges touch. */
const grownBy = (points: Polygon, width: number, finenessMm: number): readonly Polygon[] =>
  coveredBy([rawOffset(points, width, Math.max(OFFSET_ARC_MM, finenessMm))]) ??
  within(copied([simplifyPathsD([[...points]], finenessMm)[0] ?? points]), width, {
    of: EndType.Polygon,
    finenessMm,
  });

/** What is left of outlines beside bands. */
const without = (outlines: readonly Polygon[], bands: Paths): readonly Polygon[] => {
  const clockwise = bands.map(b => (signedArea(b) > 0 ? b.toReversed() : b));
  const left = bands.every(b => selfCrossing(b) === null) ? coveredBy([...outlines, ...clockwise]) : null;
  return left ?? combine(ClipType.Difference, copied(outlines), bands);
};

/**
 * The outline of the wool on one face: the resist and the fold-over past its closed edges, cut off along a mouth.
 * @param resist simple outline, mm  @param width fold-over in mm, ≥ 0
 * @param finenessMm how far the line may move for fewer points, mm
 * @returns closed outlines in mm, the outer one first; what it leaves free inside runs the other way round, as holes do, so that the
 * signed areas add up. Source: offset with round joins (Steiner).
 */
export const foldOver = (
  resist: MarkedOutline,
  width: number,
  finenessMm: number = FOLD_THINNED_MM,
): readonly Polygon[] => {
  const given = resist.points.map(plain);
  if (!(width > 0)) return [given];
  const n = given.length;
  const ccw = signedArea(given) >= 0;
  const points = ccw ? given : given.toReversed();
  // Edge i of the outline turned round is edge n − 2 − i of the given one.
  const open = ccw ? resist.open : points.map((_, i) => resist.open[(2 * n - 2 - i) % n] ?? false);
  // All round open: nothing is folded over at all.
  if (open.every(Boolean)) return [given];
  const mouths = mouthsOf(open);
  const bands = mouths.map(mouth => bandOf(points, mouth, width));
  const parts = stretches(points, mouths, NEAR_MOUTH * width);
  if (!mayBite(bands, parts, width)) {
    const grown = grownBy(points, width, finenessMm);
    return mouths.length === 0 ? grown : without(grown, bands);
  }
  // Two legs side by side, a mouth in a bay: each stretch of edge ends at its own mouths, and at no other.
  const folded = parts.flatMap(({ line, mouths: own }) => {
    const around = within(copied([line]), width, { of: EndType.Round, finenessMm });
    return own.length === 0
      ? around
      : combine(
          ClipType.Difference,
          around,
          own.flatMap(m => [bands[m] ?? []]),
        );
  });
  return combine(ClipType.Union, [...copied([points]), ...folded], []);
};
