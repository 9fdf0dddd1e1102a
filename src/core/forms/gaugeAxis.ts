/** How far a measuring line may lean and still speak for an axis, degrees. */
const LEAN_DEG = 22.5;

/**
 * Which axis of the piece a measuring line speaks for; null for a diagonal.
 * @param directionDeg degrees from along, in [0, 180)
 * @example gaugeAxis(90) // 'across'
 */
export const gaugeAxis = (directionDeg: number): 'along' | 'across' | null => {
  if (directionDeg < LEAN_DEG || directionDeg > 180 - LEAN_DEG) return 'along';
  return Math.abs(directionDeg - 90) < LEAN_DEG ? 'across' : null;
};
