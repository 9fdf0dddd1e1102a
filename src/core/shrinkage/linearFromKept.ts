import { type Shrinkage, shrinkage } from '../quantity';

/**
 * Linear shrinkage that leaves a given share of a length, an area or a volume.
 * Answers "half as big": half of the area is 29.3 % linear, half of the volume 20.6 %.
 * @param kept share that is left, > 0; above 1 it grew, and the result is negative
 * @param dimensions 1 for a length, 2 for an area, 3 for a volume
 * @returns equal in every direction. Source: kept = (1−s)^dimensions.
 * @example linearFromKept(0.5, 2) // 0.2929
 */
export const linearFromKept = (kept: number, dimensions: 1 | 2 | 3): Shrinkage =>
  shrinkage(1 - kept ** (1 / dimensions));
