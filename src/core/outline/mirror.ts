import { SAME_POINT_MM } from '../tolerances';
import { pathLength, type Point, type Polygon } from './polygon';

/** How near an outline must come to its own image to count as mirrored, mm. */
const MIRRORED_MM = 0.05;

const distance = (p: Point, a: Point, b: Point): number => {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const t = Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
};

/** Whether lines together are their own image about the along axis (y = 0), mm. */
export const areMirrored = (lines: ReadonlyArray<readonly Point[]>): boolean =>
  lines.flat().every(({ x, y }) => {
    const image = { x, y: -y };
    return lines.some(line => line.some((a, i) => distance(image, a, line[i + 1] ?? a) < MIRRORED_MM));
  });

/** Whether an outline is its own image about its along axis (y = 0), mm. */
export const isMirrored = (outline: Polygon): boolean => areMirrored([[...outline, ...outline.slice(0, 1)]]);

/**
 * What of a line lies on the side y ≥ 0, as pieces. A closed line is walked round once.
 * @returns pieces from where the line comes over the axis to where it leaves; the whole line where it never does
 */
export const upperHalf = (points: readonly Point[], closed: boolean): Point[][] => {
  const [first] = points;
  if (!first) return [];
  const walk = closed ? [...points, first] : points;
  const pieces: Point[][] = [];
  let piece: Point[] = first.y >= 0 ? [first] : [];
  walk.slice(1).forEach((b, i) => {
    const a = walk[i] ?? b;
    if (a.y >= 0 !== b.y >= 0) {
      const t = a.y / (a.y - b.y);
      const onAxis = { x: a.x + t * (b.x - a.x), y: 0 };
      if (a.y >= 0) {
        pieces.push([...piece, onAxis]);
        piece = [];
      } else piece = [onAxis];
    }
    if (b.y >= 0) piece.push(b);
  });
  if (piece.length > 0) pieces.push(piece);
  return joinEnds(pieces, closed).filter(p => pathLength(p) > SAME_POINT_MM);
};

/** Of a closed line walked from within the half, the last piece runs on into the first. */
const joinEnds = (pieces: Point[][], closed: boolean): Point[][] => {
  const [first, last] = [pieces[0], pieces.at(-1)];
  const [start, end] = [first?.[0], last?.at(-1)];
  if (!closed || !first || !last || first === last || !start || !end) return pieces;
  if (Math.hypot(start.x - end.x, start.y - end.y) > 0) return pieces;
  return [[...last, ...first.slice(1)], ...pieces.slice(1, -1)];
};
