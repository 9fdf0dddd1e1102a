import { type FinishedMm, type LaidMm, type Shrinkage, finishedMm } from '../quantity';

/**
 * Length that is left of a laid length.
 * @param laid mm as laid, > 0  @param s linear, this direction, in [0, 1)
 * @returns mm, unrounded. Source: definition of linear shrinkage.
 * @example finishedLength(laidMm(500), shrinkage(0.4)) // 300
 */
export const finishedLength = (laid: LaidMm, s: Shrinkage): FinishedMm => finishedMm(laid * (1 - s));
