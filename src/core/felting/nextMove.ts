import type { Outlook, EndingRisk, RollsAhead } from './planAhead';
import { rollsLeft } from './planAhead';

/** Most rolls each way from measuring to measuring: small moves, measured often; or larger ones, less often. */
const MOST_ROLLS = { careful: 60, brisk: 120 } as const;
export type MoveSize = keyof typeof MOST_ROLLS;

/** A chance to be below its size that is risked, and how much it may grow where it is above that already. */
const RISKED = { past: 0.01, more: 0.01 } as const;

/** What to do from a measuring on. */
export type ModelMove =
  | { readonly kind: 'roll'; readonly rolls: RollsAhead }
  /** All gauges are likely there. */
  | { readonly kind: 'there' }
  /** Nothing would make it likelier, but another look may. */
  | { readonly kind: 'measure' }
  /** Nothing would make it likelier. */
  | { readonly kind: 'best' }
  /** It hardly moves any more. */
  | { readonly kind: 'limit' };

/** When it is there; what a move must gain near the end; and how near that is. */
const THERE = 0.9;
const GAIN = 0.02;
const NEAR = Math.log(1.08);
/** Near the end, single moves of so many rolls are tried too. */
const SINGLES = [10, 20, 30, 40] as const;
/** Looks that are taken again before it is left. */
const LOOKS = 2;
/** At its limit when so many rolls would move it by less than this. */
const LIMIT = { rolls: 200, moves: 0.004 } as const;

const tens = (rolls: number): number => Math.round(rolls / 10) * 10;
const isNothing = ({ along, across }: RollsAhead): boolean => along === 0 && across === 0;

/** Whether the chance of any gauge to be past its size stays small, or grows by little. */
const isSafe = (there: EndingRisk, now: EndingRisk): boolean =>
  there.past.every((p, g) => p <= Math.max(RISKED.past, (now.past[g] ?? 0) + RISKED.more));

/** The largest part of what is left that does not risk too much. */
const largestPart = (
  outlook: Outlook,
  left: RollsAhead,
  of: { now: EndingRisk; pace: MoveSize },
): RollsAhead | null => {
  const whole = Math.max(left.along, left.across);
  const largest = Math.min(1, MOST_ROLLS[of.pace] / whole);
  for (let part = 1; part > 0; part -= 0.1) {
    const rolls = { along: tens(left.along * part * largest), across: tens(left.across * part * largest) };
    if (isNothing(rolls)) return null;
    if (isSafe(outlook.endingRisk(rolls), of.now)) return rolls;
  }
  return null;
};

const singles = (hasDirections: boolean): readonly RollsAhead[] =>
  SINGLES.flatMap(n => [{ along: n, across: 0 }, ...(hasDirections ? [{ along: 0, across: n }] : [])]);

/**
 * What to do next, from a measuring on. It risks little: what is past its size cannot be brought back.
 * @param of.meanOff mean distance of each gauge from what is wanted, as a logarithm; above it is positive
 * @param of.looks measurings in a row with no work between
 * @param of.moves what 200 rolls would move the gauges, as a share of length
 */
export const nextMove = (
  outlook: Outlook,
  of: {
    readonly pace: MoveSize;
    readonly meanOff: readonly number[];
    readonly looks: number;
    readonly moves: number;
  },
): ModelMove => {
  const now = outlook.endingRisk({ along: 0, across: 0 });
  if (now.within >= THERE) return { kind: 'there' };
  const isAbove = of.meanOff.some(v => v > 0);
  if (of.moves < LIMIT.moves && isAbove) return { kind: 'limit' };
  const left = rollsLeft(outlook);
  const part = isNothing(left) ? null : largestPart(outlook, left, { now, pace: of.pace });
  const isNear = of.meanOff.every(v => v < NEAR);
  if (!isNear) return part ? { kind: 'roll', rolls: part } : { kind: 'measure' };
  const tried = [...(part ? [part] : []), ...singles(outlook.hasDirections)]
    .map(rolls => ({ rolls, there: outlook.endingRisk(rolls) }))
    .filter(t => isSafe(t.there, now))
    .map(({ rolls, there }) => ({ rolls, within: there.within }))
    .toSorted((a, b) => b.within - a.within);
  const [best] = tried;
  if (best && best.within >= now.within + GAIN) return { kind: 'roll', rolls: best.rolls };
  return { kind: of.looks < LOOKS ? 'measure' : 'best' };
};

export const LIMIT_ROLLS = LIMIT.rolls;
