import type { DrawingMark } from '../acts/vocabulary';
import type { Gauge } from '../forms/formKind';

/** Where a length lies, as logarithms of its share of what was laid. */
export interface LogRange {
  readonly low: number;
  readonly high: number;
}

/**
 * Shares of the way from laid to target that an eye means by each mark. Common practice; between two marks one takes the nearer, so
 * that no length is without one.
 */
const WAY = { dashed: [0, 0.08], inside: [0.05, 0.33], half: [0.33, 0.65] } as const;
/** A finger outside the dotted line: so many mm more than the target. Common practice. */
const FINGER_MM = [8, 22] as const;
/** On the line, and inside it: shares of the target. Common practice. */
const ON = [0.98, 1.02] as const;
const PAST = [0.7, 0.99] as const;

/**
 * What a look at the drawing says of one line.
 * @param gauge laid longer than its target
 * @example drawingRange('half', gaugeOf('A', 600, 400)) // { low: 0.65 · ln(2/3), high: 0.35 · ln(2/3) }
 */
export const drawingRange = (mark: DrawingMark, { laidMm, wantedMm }: Gauge): LogRange => {
  const whole = Math.log(wantedMm / laidMm);
  const share = ([from, to]: readonly [number, number]): LogRange => ({
    low: to * whole,
    high: from * whole,
  });
  const length = (from: number, to: number): LogRange => ({
    low: Math.log(from / laidMm),
    high: Math.min(0, Math.log(to / laidMm)),
  });
  // Of a small piece a finger is more than there is: then it is nearly there.
  const fromFinger = Math.log((wantedMm + FINGER_MM[1]) / laidMm);
  const hasFinger = fromFinger < WAY.half[1] * whole;
  /** Half way between the two: nearer to the one or to the other. */
  const between = hasFinger ? (WAY.half[1] * whole + fromFinger) / 2 : WAY.half[1] * whole;
  switch (mark) {
    case 'dashed':
    case 'inside':
      return share(WAY[mark]);
    case 'half':
      return { low: between, high: WAY.half[0] * whole };
    case 'finger':
      return {
        low: hasFinger ? Math.log((wantedMm + FINGER_MM[0]) / laidMm) : Math.log((ON[1] * wantedMm) / laidMm),
        high: between,
      };
    case 'on':
      return length(ON[0] * wantedMm, ON[1] * wantedMm);
    case 'past':
      return length(PAST[0] * wantedMm, PAST[1] * wantedMm);
  }
};

/** What one look says of all lines together: an eye judges the whole edge, not each line by itself. */
export const meanRange = (ranges: readonly LogRange[]): LogRange => {
  const mean = (of: (range: LogRange) => number): number =>
    ranges.reduce((sum, range) => sum + of(range), 0) / Math.max(1, ranges.length);
  return { low: mean(r => r.low), high: mean(r => r.high) };
};
