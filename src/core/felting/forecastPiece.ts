import { balancedWork, NO_WORK, type FeltingWork } from './feltingModel';
import { type Range, rangeOf, sharesAfter } from './predict';
import { infer, type Posterior } from './infer';
import { LIMIT_ROLLS, type ModelMove, nextMove, type MoveSize } from './nextMove';
import type { FeltingRecord } from './likelihood';
import { type GaugeTargets, type Outlook, outlookOf, rollsLeft, type RollsAhead } from './planAhead';

/** What is asked of a piece: where it is to end, and how it is rolled. */
export interface FeltingGoal {
  readonly targets: GaugeTargets;
  /** What one roll counts, reference rolls. */
  readonly intensity: number;
  /** False for a solid, whose rolls have no direction. */
  readonly hasDirections: boolean;
  readonly pace: MoveSize;
}

/** How many more rolls: a middle, and the range that holds it four times in five; infinite where it may never be there. */
export interface RollRange {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** What the log of a piece says, and what is to be done about it. */
export interface PieceForecast {
  /** What to do from the last measuring on; what was done of it since is not taken off. */
  readonly move: ModelMove;
  /** The chance that a line is below its size after the move. */
  readonly risk: number;
  /** The measurings it rests on; 0 is general practice. */
  readonly measurings: number;
  /** Measurings at the end with no work between. */
  readonly looks: number;
  /** Of each gauge, the chance that it is below its size now. */
  readonly pastNow: readonly number[];
  readonly left: RollsAhead;
  readonly along: RollRange;
  readonly across: RollRange;
  /** The chance that all gauges are within the tolerance now, and after all that is left. */
  readonly withinNow: number;
  readonly withinThen: number;
  /** Each gauge now, and after all that is left, as a share of what it was laid. */
  readonly now: readonly Range[];
  readonly ended: readonly Range[];
  /** The way ahead: the mean of all lines as a share of what they were laid, after so much more work (reference rolls). */
  readonly ahead: ReadonlyArray<{ readonly work: number; readonly share: Range }>;
  readonly doubts: Posterior['doubts'];
  /** What this felt does: how much it shrinks at the most, and the reference rolls to half of that. */
  readonly felt: { readonly most: Range; readonly halfRolls: Range };
  /** How many worlds of equal weight the answer rests on. */
  readonly effective: number;
}

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN;

const countOf = (times: readonly number[], rolls: number): RollRange =>
  rolls === 0
    ? { low: 0, middle: 0, high: 0 }
    : {
        low: at(times, 0.1) * rolls,
        middle: at(times, 0.5) * rolls,
        high: at(times, 0.9) * rolls,
      };

/** Mean of all lines, particle by particle. */
const meanLine = (lines: ReadonlyArray<Float64Array>): Float64Array => {
  const mean = new Float64Array(lines[0]?.length ?? 0);
  for (const line of lines)
    for (let i = 0; i < mean.length; i += 1) mean[i] = (mean[i] ?? 0) + (line[i] ?? 0) / lines.length;
  return mean;
};

/** Parts of the rolls to go at which the way ahead is drawn. */
const PARTS = [0, 1 / 3, 2 / 3, 1] as const;

/** The way ahead, from now to the end of the rolls to go; nothing where none are left. */
const aheadOf = (
  outlook: Outlook,
  left: RollsAhead,
  of: { readonly sharesAt: (work: FeltingWork) => Float64Array; readonly weights: Float64Array },
): PieceForecast['ahead'] =>
  left.along + left.across === 0
    ? []
    : PARTS.map(part => {
        const work = outlook.workOf({ along: part * left.along, across: part * left.across });
        return { work: work.directional + work.free, share: rangeOf(of.sharesAt(work), of.weights) };
      });

/** Measurings at the end of a log with no work between. */
const looksOf = ({ intervals }: FeltingRecord): number => {
  let looks = 0;
  for (const { work } of intervals.toReversed()) {
    if (work.directional + work.free > 0) break;
    looks += 1;
  }
  return looks;
};

/**
 * Infers, looks ahead, and says what to do next. Deterministic.
 * @param posterior what the measurings say, where it was worked out already
 */
export const forecastPiece = (
  record: FeltingRecord,
  asked: FeltingGoal,
  posterior: Posterior = infer(record),
): PieceForecast => {
  const { weights } = posterior;
  const ranges = (work: FeltingWork): readonly Range[] =>
    sharesAfter(record, posterior, work).map(values => rangeOf(values, weights));
  const outlook = outlookOf({ record, posterior, ...asked });
  const atMeasuring = outlookOf({ record: { ...record, since: NO_WORK }, posterior, ...asked });
  const now = ranges(NO_WORK);
  const after = ranges(balancedWork(LIMIT_ROLLS * asked.intensity));
  const then = sharesAfter({ ...record, since: NO_WORK }, posterior, NO_WORK).map(v => rangeOf(v, weights));
  const move = nextMove(atMeasuring, {
    pace: asked.pace,
    meanOff: then.map((r, g) => Math.log(r.mean) - (asked.targets.wanted[g] ?? 0)),
    looks: looksOf(record),
    moves: Math.max(...now.map((r, g) => 1 - (after[g]?.mean ?? 0) / r.mean)),
  });
  const left = rollsLeft(outlook);
  const [here, there] = [outlook.endingRisk({ along: 0, across: 0 }), outlook.endingRisk(left)];
  const times = outlook.timesNeeded(left);
  return {
    move,
    left,
    along: countOf(times, left.along),
    across: countOf(times, left.across),
    risk: move.kind === 'roll' ? Math.max(...atMeasuring.endingRisk(move.rolls).past) : 0,
    measurings: record.intervals.length,
    looks: looksOf(record),
    pastNow: here.past,
    withinNow: here.within,
    withinThen: there.within,
    now,
    ended: ranges(outlook.workOf(left)),
    ahead: aheadOf(outlook, left, {
      sharesAt: work => meanLine(sharesAfter(record, posterior, work)),
      weights,
    }),
    doubts: posterior.doubts,
    felt: {
      most: rangeOf(
        Float64Array.from(posterior.particles, w => 1 - Math.exp(-w.parameters.limit)),
        weights,
      ),
      halfRolls: rangeOf(
        Float64Array.from(posterior.particles, w => w.parameters.halfWork),
        weights,
      ),
    },
    effective: posterior.effective,
  };
};
