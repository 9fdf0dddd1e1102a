import { type FinishedMm, type LaidMm, type Shrinkage, shrinkage } from '../quantity';

/**
 * Shrinkage that a pair of measurements shows. Negative when the piece has grown.
 * @param laid mm as laid, > 0  @param finished mm when dry, > 0
 * @returns (laid − finished)/laid. Source: definition of linear shrinkage.
 * @example measuredShrinkage(laidMm(500), finishedMm(300)) // 0.4
 */
export const measuredShrinkage = (laid: LaidMm, finished: FinishedMm): Shrinkage =>
  shrinkage((laid - finished) / laid);
