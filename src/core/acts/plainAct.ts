import { z } from 'zod';
import type { BenchFold } from './benchFold';
import { defineAct } from './actSpec';

/**
 * An act that is done or not done, and counted by nothing: turned over, air let out. What it changes of where the work stands is
 * said by it; it is no work on the felt.
 * @param of.key what stands on its key; without one it is only done when it is advised
 */
export const plainAct = <K extends string>(
  kind: K,
  of: {
    readonly key?: string;
    /** What was done, as it stands in the log. */
    readonly words: string;
    /** The act in a list of steps. */
    readonly name: string;
    readonly caution?: string;
    readonly fold?: (fold: BenchFold) => void;
  },
) =>
  defineAct(z.object({ kind: z.literal(kind) }))({
    place: 'bench',
    words: () => of.words,
    ...(of.caution ? { caution: of.caution } : {}),
    amount: () => ({ count: 1, spread: 0 }),
    fold: fold => of.fold?.(fold),
    asked: {
      [kind]: {
        name: of.name,
        takes: [],
        words: () => of.words,
        left: (_, done) => (done('') > 0 ? [] : [{ does: 'act', kind, choices: {} }]),
      },
    },
    control: {
      ...(of.key ? { key: of.key } : {}),
      takes: [],
      make: () => ({ kind }),
      choicesOf: () => ({}),
    },
  });
