import type { GaugeProgress } from '../forecast/forecast';
import { GREW_QUESTION } from '../tolerances';

/** Why a reading looks like a slip of the tape. It is asked about, and taken if it is meant. */
export type ReadingQuestion =
  | { readonly asks: 'longer-than-laid' }
  | { readonly asks: 'grew'; readonly by: number }
  | { readonly asks: 'far-below' };

/** Longer than it was laid by more than this share is asked about; so is less than this share of the target. Common practice. */
const LONGER = 0.02;
const FAR_BELOW = 0.5;

/**
 * What a reading makes one ask; null where it is as may be.
 * @param mm the reading, > 0
 * @example readingQuestion({ ...now 300, measured }, 330) // { asks: 'grew', by: 0.1 }
 */
export const readingQuestion = (now: GaugeProgress, mm: number): ReadingQuestion | null => {
  const { gauge, nowMm, measured } = now;
  const by = mm / nowMm - 1;
  if (mm > gauge.laidMm * (1 + LONGER)) return { asks: 'longer-than-laid' };
  if (measured && by > GREW_QUESTION) return { asks: 'grew', by };
  return mm < gauge.wantedMm * FAR_BELOW ? { asks: 'far-below' } : null;
};
