import { type Issue, issue } from '../issues';
import { err, ok, type Result } from '../result';
import { LARGEST_OUTLINE_MM, MOST_OUTLINE_POINTS, SAME_POINT_MM, SMALLEST_OUTLINE_MM2 } from '../tolerances';
import { selfCrossing } from './crossing';
import { boundsOf, type Point, type Polygon, polygonArea } from './polygon';

const place = (p: Point): string =>
  `at ${(p.x / 10).toFixed(1)} cm lengthwise, ${(p.y / 10).toFixed(1)} cm crosswise`;

/** Points that are not numbers, each with its index. */
const notNumbers = (points: Polygon, path: string): Issue[] =>
  points.flatMap((p, i) =>
    Number.isFinite(p.x) && Number.isFinite(p.y)
      ? []
      : [issue('OUTLINE_NOT_NUMBERS', `${path}[${i}]`, { got: `${p.x}, ${p.y}` })],
  );

/** Neighbours that are one and the same place, and a last point that repeats the first, are dropped. */
const withoutRepeats = (points: Polygon): Polygon =>
  points.filter((p, i) => {
    const before = points[(i - 1 + points.length) % points.length];
    return !before || points.length < 2 || Math.hypot(p.x - before.x, p.y - before.y) > SAME_POINT_MM;
  });

/**
 * Checks a closed outline and cleans it of repeated points.
 * @param points mm; the last joins the first  @param path where the outline stands, for the issues
 * @returns the outline, or OUTLINE_NOT_NUMBERS, OUTLINE_TOO_MANY, OUTLINE_TOO_LARGE, OUTLINE_EMPTY or OUTLINE_CROSSES,
 * each with the place
 */
export const cleanOutline = (points: Polygon, path: string): Result<Polygon> => {
  if (points.length > MOST_OUTLINE_POINTS)
    return err(issue('OUTLINE_TOO_MANY', path, { got: `${points.length} points` }));
  const wrong = notNumbers(points, path);
  if (wrong.length > 0) return err(...wrong.slice(0, 3));
  const clean = withoutRepeats(points);
  const box = boundsOf(clean);
  const [long, wide] = [box.maxX - box.minX, box.maxY - box.minY];
  if (Math.max(long, wide) > LARGEST_OUTLINE_MM)
    return err(
      issue('OUTLINE_TOO_LARGE', path, {
        got: `${(long / 1000).toFixed(2)} × ${(wide / 1000).toFixed(2)} m`,
      }),
    );
  if (clean.length < 3 || !(polygonArea(clean) >= SMALLEST_OUTLINE_MM2)) {
    const crosses = clean.length >= 4 ? selfCrossing(clean) : null;
    return crosses
      ? err(issue('OUTLINE_CROSSES', path, { detail: `It crosses itself ${place(crosses)}.` }))
      : err(issue('OUTLINE_EMPTY', path, { got: `${clean.length} points` }));
  }
  const crosses = selfCrossing(clean);
  return crosses
    ? err(issue('OUTLINE_CROSSES', path, { detail: `It crosses itself ${place(crosses)}.` }))
    : ok(clean);
};
