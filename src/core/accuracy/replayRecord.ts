import { FELTING, NO_WORK } from '../felting/feltingModel';
import { infer } from '../felting/infer';
import type { FeltingRecord } from '../felting/likelihood';
import { type Range, rangeOf, sharesAfter } from '../felting/predict';

/** One prediction as it stood before a measuring, and what the tape then said; shares of the laid length. */
export interface Prediction {
  readonly low: number;
  readonly high: number;
  readonly came: number;
}

/** Standard deviations from the middle of a normal to either end of what holds four in five. */
const Z80 = 1.2816;

/** The range of a reading: that of the length, widened by what a tape is off, on either side by itself. */
const asRead = ({ low80, median, high80 }: Range): { readonly low: number; readonly high: number } => {
  const widened = (end: number): number =>
    Math.exp(Math.sign(end - median) * Math.hypot(Math.log(end / median), Z80 * FELTING.readingSd)) * median;
  return { low: widened(low80), high: widened(high80) };
};

/** What the model says of each line of a record, as it stands. */
export type Predict = (record: FeltingRecord) => readonly Range[];

/** By the felting model itself. */
export const predictNow: Predict = record => {
  const posterior = infer(record);
  return sharesAfter(record, posterior, NO_WORK).map(values => rangeOf(values, posterior.weights));
};

/**
 * Replays a log: at every measuring, what was predicted from all that was known just before it, and what came.
 * @param record as the model reads the log, with what was believed when it was begun
 */
export const replayRecord = (record: FeltingRecord, predict: Predict = predictNow): readonly Prediction[] =>
  record.intervals.flatMap(({ work, read }, i) => {
    if (read.every(r => r === null)) return [];
    const ranges = predict({ ...record, intervals: record.intervals.slice(0, i), since: work });
    return read.flatMap((r, g): Prediction[] => {
      const range = ranges[g];
      return r === null || !range ? [] : [{ ...asRead(range), came: Math.exp(r) }];
    });
  });

/** Whether a prediction held. */
export const isHeld = ({ low, high, came }: Prediction): boolean => came >= low && came <= high;
