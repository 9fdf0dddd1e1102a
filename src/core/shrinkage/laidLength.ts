import { type FinishedMm, type LaidMm, type Shrinkage, laidMm } from '../quantity';
import { shrinkageFactor } from './shrinkageFactor';

/**
 * Length to lay so that it shrinks to a wanted length.
 * @param finished mm after drying, > 0  @param s linear, this direction, in [0, 1)
 * @returns mm, unrounded. Source: definition of linear shrinkage.
 * @example laidLength(finishedMm(300), shrinkage(0.4)) // 500
 */
export const laidLength = (finished: FinishedMm, s: Shrinkage): LaidMm =>
  laidMm(finished * shrinkageFactor(s));
