import { z } from 'zod';
import { Minutes, Spread } from './actFields';
import { defineAct } from './actSpec';
import { duration } from './actWords';
import { WATER_INTENSITY } from './waterIntensity';

/** How far the amount of work done by feel may be off, as a share of it: what 6-ways.md gives as a deviation of its logarithm. */
const BY_FEEL = 0.5;

/**
 * An act that is done for a time and works the felt every way alike: rolled in the palms, stirred, rubbed over a ball. It is logged
 * in minutes, or by feel: then it counts as the usual minutes, and the forecast knows less.
 * @param of.perMinute reference rolls a minute in hot water; common practice, nothing was measured
 * @param of.usual minutes that stand until others are chosen; common practice
 */
export const timedAct = <K extends string>(
  kind: K,
  of: {
    /** What stands on its key. */
    readonly key: string;
    /** What is done, as it begins a line of the log. */
    readonly words: string;
    /** The act in a list of steps. */
    readonly name: string;
    readonly perMinute: number;
    readonly usual: number;
    readonly choices: readonly number[];
    readonly caution?: string;
  },
) => {
  const said = (minutes: number): string => `${of.words}, ${duration(minutes)}`;
  return defineAct(
    z.object({
      kind: z.literal(kind),
      minutes: Minutes,
      give: Spread,
      /** Done by feel: the minutes are the usual ones. */
      feel: z.literal(true).exactOptional(),
    }),
  )({
    place: 'bench',
    words: ({ minutes, feel }) => (feel ? `${of.words}, by feel` : said(minutes)),
    ...(of.caution ? { caution: of.caution } : {}),
    amount: ({ minutes, give = 0 }) => ({ count: minutes, spread: give }),
    work: ({ minutes, give = 0 }, water) => {
      const each = WATER_INTENSITY[water] * of.perMinute;
      return { rolls: minutes * each, spread: give * each, directionDeg: null };
    },
    asked: {
      [kind]: {
        name: of.name,
        takes: ['minutes'],
        begins: { minutes: of.usual },
        words: step => said(step.minutes ?? of.usual),
        left: (step, done) => {
          const count = (step.minutes ?? of.usual) - done('');
          return count > 0 ? [{ does: 'act', kind, choices: { count } }] : [];
        },
      },
    },
    control: {
      key: of.key,
      unit: 'min',
      takes: ['count'],
      counts: { usual: of.usual, choices: of.choices },
      turns: 'count',
      make: ({ count = of.usual, feel }) =>
        feel ? { kind, minutes: of.usual, give: BY_FEEL * of.usual, feel: true } : { kind, minutes: count },
      choicesOf: ({ minutes, feel }) => (feel ? { feel: true } : { count: minutes }),
      counted: {
        withCount: (_, count, give) => ({ kind, minutes: count, ...(give === undefined ? {} : { give }) }),
      },
    },
  });
};
