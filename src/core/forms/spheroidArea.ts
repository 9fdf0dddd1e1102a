import { findRoot } from '../numeric/findRoot';

/**
 * Surface of an ellipsoid of revolution.
 * @param across diameter of its round section, mm  @param poles length of its axis, mm
 * @returns mm². Source: surface of the oblate and prolate spheroid (from memory); π·d² for a ball.
 */
export const spheroidArea = (across: number, poles: number): number => {
  const [a, c] = [across / 2, poles / 2];
  if (Math.abs(a - c) < 1e-9 * a) return 4 * Math.PI * a * a;
  if (c < a) {
    const e = Math.sqrt(1 - (c * c) / (a * a));
    return 2 * Math.PI * a * a * (1 + ((1 - e * e) / e) * Math.atanh(e));
  }
  const e = Math.sqrt(1 - (a * a) / (c * c));
  return 2 * Math.PI * a * a * (1 + (c / (a * e)) * Math.asin(e));
};

/** Girth of an ellipse, mm, by its two diameters. Source: Ramanujan's second approximation, from memory. */
export const ellipseGirth = (long: number, wide: number): number => {
  const [a, b] = [long / 2, wide / 2];
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
};

/** Length of the axis of a spheroid from its girth round the middle and its girth over the poles, mm. */
export const polesOf = (girth: number, over: number): number => {
  const wide = girth / Math.PI;
  return findRoot(poles => ellipseGirth(wide, poles) - over, { low: 0, high: over }, 1e-9) ?? over / Math.PI;
};
