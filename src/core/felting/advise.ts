import { balancedWork, NO_WORK, type Work } from './feltingModel';
import { type Range, rangeOf, sharesAfter } from './foretell';
import { infer, type Inferred } from './infer';
import { LIMIT_ROLLS, type Move, nextMove, type Pace } from './nextMove';
import type { Felted } from './posterior';
import { type Aim, outlookOf, rollsLeft, type Rolls } from './wayAhead';

/** What is asked of a piece: where it is to end, and how it is rolled. */
export interface Asked {
  readonly aim: Aim;
  /** What one roll counts, reference rolls. */
  readonly intensity: number;
  /** False for a solid, whose rolls have no direction. */
  readonly hasDirections: boolean;
  readonly pace: Pace;
}

/** How many more rolls: a middle, and the range that holds it four times in five; infinite where it may never be there. */
export interface Count {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** What the log of a piece says, and what is to be done about it. */
export interface Advised {
  /** What to do from the last measuring on; what was done of it since is not taken off. */
  readonly move: Move;
  /** The chance that a line is below its size after the move. */
  readonly risk: number;
  /** The measurings it rests on; 0 is general practice. */
  readonly measurings: number;
  /** Measurings at the end with no work between. */
  readonly looks: number;
  /** Of each gauge, the chance that it is below its size now. */
  readonly pastNow: readonly number[];
  readonly left: Rolls;
  readonly along: Count;
  readonly across: Count;
  /** The chance that all gauges are within the tolerance now, and after all that is left. */
  readonly withinNow: number;
  readonly withinThen: number;
  /** Each gauge now, and after all that is left, as a share of what it was laid. */
  readonly now: readonly Range[];
  readonly ended: readonly Range[];
  readonly doubts: Inferred['doubts'];
  /** What this felt does: how much it shrinks at the most, and the reference rolls to half of that. */
  readonly felt: { readonly most: Range; readonly halfRolls: Range };
  /** How many worlds of equal weight the answer rests on. */
  readonly effective: number;
}

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN;

const countOf = (times: readonly number[], rolls: number): Count =>
  rolls === 0
    ? { low: 0, middle: 0, high: 0 }
    : {
        low: at(times, 0.1) * rolls,
        middle: at(times, 0.5) * rolls,
        high: at(times, 0.9) * rolls,
      };

/** Measurings at the end of a log with no work between. */
const looksOf = ({ intervals }: Felted): number => {
  let looks = 0;
  for (const { work } of intervals.toReversed()) {
    if (work.directional + work.free > 0) break;
    looks += 1;
  }
  return looks;
};

/** Infers, looks ahead, and says what to do next. Deterministic. */
export const adviseFrom = (felted: Felted, asked: Asked): Advised => {
  const inferred = infer(felted);
  const { weights } = inferred;
  const ranges = (work: Work): readonly Range[] =>
    sharesAfter(felted, inferred, work).map(values => rangeOf(values, weights));
  const outlook = outlookOf({ felted, inferred, ...asked });
  const atMeasuring = outlookOf({ felted: { ...felted, since: NO_WORK }, inferred, ...asked });
  const now = ranges(NO_WORK);
  const after = ranges(balancedWork(LIMIT_ROLLS * asked.intensity));
  const then = sharesAfter({ ...felted, since: NO_WORK }, inferred, NO_WORK).map(v => rangeOf(v, weights));
  const move = nextMove(atMeasuring, {
    pace: asked.pace,
    meanOff: then.map((r, g) => Math.log(r.mean) - (asked.aim.wanted[g] ?? 0)),
    looks: looksOf(felted),
    moves: Math.max(...now.map((r, g) => 1 - (after[g]?.mean ?? 0) / r.mean)),
  });
  const left = rollsLeft(outlook);
  const [here, there] = [outlook.prospect({ along: 0, across: 0 }), outlook.prospect(left)];
  const times = outlook.timesNeeded(left);
  return {
    move,
    left,
    along: countOf(times, left.along),
    across: countOf(times, left.across),
    risk: move.kind === 'roll' ? Math.max(...atMeasuring.prospect(move.rolls).past) : 0,
    measurings: felted.intervals.length,
    looks: looksOf(felted),
    pastNow: here.past,
    withinNow: here.within,
    withinThen: there.within,
    now,
    ended: ranges(outlook.workOf(left)),
    doubts: inferred.doubts,
    felt: {
      most: rangeOf(
        Float64Array.from(inferred.worlds, w => 1 - Math.exp(-w.parameters.limit)),
        weights,
      ),
      halfRolls: rangeOf(
        Float64Array.from(inferred.worlds, w => w.parameters.halfWork),
        weights,
      ),
    },
    effective: inferred.effective,
  };
};
