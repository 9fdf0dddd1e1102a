import { z } from 'zod';
import { Minutes, Spread } from './actFields';
import { defineAct } from './actSpec';
import { duration } from './actWords';
import { BY_FEEL, byFeelOf } from './byFeel';
import type { BenchFold } from './benchFold';
import type { Water } from './vocabulary';
import { WATER_INTENSITY } from './waterIntensity';

/**
 * An act that is done for a time and works the felt every way alike: rolled in the palms, stirred, rubbed over a ball. It is logged
 * in minutes, or by feel: then it counts as the usual minutes, and the forecast knows less.
 * @param of.perMinute reference rolls a minute in hot water, 0 where it is no work; common practice, nothing was measured
 * @param of.usual minutes that stand until others are chosen; common practice
 */
export const timedAct = <K extends string>(
  kind: K,
  of: {
    /** What stands on its key; without one it is only done when it is advised. */
    readonly key?: string;
    /** What a recipe calls it, where that is not its kind. */
    readonly step?: string;
    /** What it changes of where the work stands. */
    readonly fold?: (fold: BenchFold) => void;
    /** What is done, as it begins a line of the log. */
    readonly words: string;
    /** The act in a list of steps. */
    readonly name: string;
    readonly perMinute: number;
    readonly usual: number;
    readonly choices: readonly number[];
    readonly caution?: string;
    readonly ofAll?: true;
  },
) => {
  const step = of.step ?? kind;
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
    ...(of.ofAll ? { ofAll: true } : {}),
    amount: ({ minutes, give = 0 }) => ({ count: minutes, spread: give }),
    ...(of.perMinute > 0
      ? {
          work: ({ minutes, give = 0 }: { minutes: number; give?: number }, water: Water) => {
            const each = WATER_INTENSITY[water] * of.perMinute;
            return { rolls: minutes * each, spread: give * each, directionDeg: null };
          },
        }
      : {}),
    fold: fold => of.fold?.(fold),
    asked: {
      [step]: {
        name: of.name,
        takes: ['minutes'],
        begins: { minutes: of.usual },
        words: asked => said(asked.minutes ?? of.usual),
        left: (asked, done) => {
          const count = (asked.minutes ?? of.usual) - done('');
          return count > 0 ? [{ does: 'act', kind, choices: { count } }] : [];
        },
      },
    },
    control: {
      ...(of.key ? { key: of.key } : {}),
      unit: 'min',
      takes: ['count'],
      counts: { usual: of.usual, choices: of.choices },
      turns: 'count',
      make: ({ count = of.usual, feel }, usual) => {
        if (!feel) return { kind, minutes: count };
        const minutes = byFeelOf(kind, of.usual, usual);
        return { kind, minutes, give: BY_FEEL * minutes, feel: true };
      },
      choicesOf: ({ minutes, feel }) => (feel ? { feel: true } : { count: minutes }),
      counted: {
        withCount: (_, count, give) => ({ kind, minutes: count, ...(give === undefined ? {} : { give }) }),
      },
    },
  });
};
