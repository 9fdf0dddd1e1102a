import type { Polygon } from './polygon';

/** Enough sides for an area to be right to 1 in 10 000. */
const SIDES = 256;

/** A rectangle about the origin, mm. */
export const box = (length: number, width: number): Polygon => [
  { x: -length / 2, y: -width / 2 },
  { x: length / 2, y: -width / 2 },
  { x: length / 2, y: width / 2 },
  { x: -length / 2, y: width / 2 },
];

/** Ellipse of 256 sides about the origin, with the area of the true ellipse, so that grams are not short by the corners. */
export const ellipse = (lengthwise: number, crosswise: number): Polygon => {
  const turn = (2 * Math.PI) / SIDES;
  const grow = Math.sqrt(turn / Math.sin(turn));
  return Array.from({ length: SIDES }, (_, i) => ({
    x: (lengthwise / 2) * grow * Math.cos(i * turn),
    y: (crosswise / 2) * grow * Math.sin(i * turn),
  }));
};

/** Steps of a quarter turn: a corner of 80 mm is then right to 0.1 mm. */
const QUARTER_STEPS = 16;

/** A quarter of a circle about a centre, from one angle to the next, degrees. */
const quarter = (centre: { x: number; y: number }, radius: number, fromDeg: number): Polygon =>
  radius > 0
    ? Array.from({ length: QUARTER_STEPS + 1 }, (_, i) => {
        const angle = ((fromDeg + (90 * i) / QUARTER_STEPS) * Math.PI) / 180;
        return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
      })
    : [centre];

/**
 * A rectangle about the origin with round corners at its bottom (least x) and, when asked, at its top.
 * Counter-clockwise from the bottom.
 */
export const roundedBottom = (
  length: number,
  width: number,
  [bottom, top = 0]: readonly [number, number?],
): Polygon => {
  const [x, y] = [length / 2, width / 2];
  return [
    ...quarter({ x: -x + bottom, y: -y + bottom }, bottom, 180),
    ...quarter({ x: x - top, y: -y + top }, top, 270),
    ...quarter({ x: x - top, y: y - top }, top, 0),
    ...quarter({ x: -x + bottom, y: y - bottom }, bottom, 90),
  ];
};
