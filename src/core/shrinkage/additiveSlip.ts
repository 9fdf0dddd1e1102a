import type { Shrinkage } from '../quantity';

/**
 * The usual slip: adding s to the wanted size instead of dividing by 1 − s.
 * @param s the shrinkage expected, in [0, 1)
 * @returns the share of the wanted size that such a layout ends at: (1+s)(1−s)
 * @example additiveSlip(shrinkage(0.3)) // 0.91
 */
export const additiveSlip = (s: Shrinkage): number => (1 + s) * (1 - s);
