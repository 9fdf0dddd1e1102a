import type { Shrinkage } from '../quantity';

/**
 * Factor by which a length is laid larger: laid/finished = 1/(1−s).
 * @param s linear shrinkage in [0, 1)
 * @returns dimensionless, ≥ 1. Source: definition of linear shrinkage.
 * @example shrinkageFactor(shrinkage(0.3)) // 1.4286
 */
export const shrinkageFactor = (s: Shrinkage): number => 1 / (1 - s);
