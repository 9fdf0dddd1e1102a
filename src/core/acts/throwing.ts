import { z } from 'zod';
import { Count } from './actFields';
import { defineAct } from './actSpec';
import { PRACTICE } from './practice';
import { WATER_INTENSITY } from './waterIntensity';

/** One throw of the whole piece, in reference rolls. Common practice; nothing was measured. */
const REFERENCE_ROLLS = 1.5;

/** The piece is thrown. */
export const throwing = defineAct(z.object({ kind: z.literal('throw'), count: Count }))({
  place: 'bench',
  words: act => `Throw ${act.count}`,
  caution: 'Wipe up splashes so nobody slips. Mind your wrists: stop if it hurts or goes numb.',
  amount: ({ count }) => ({ count, spread: 0 }),
  work: ({ count }, water) => ({
    rolls: count * WATER_INTENSITY[water] * REFERENCE_ROLLS,
    spread: 0,
    directionDeg: null,
  }),
  asked: {
    throw: {
      name: 'throw',
      takes: ['count'],
      words: step => `Throw ${step.count ?? PRACTICE.throws} times`,
      left: (step, done) => {
        const count = (step.count ?? PRACTICE.throws) - done('');
        return count > 0 ? [{ does: 'act', kind: 'throw', choices: { count } }] : [];
      },
    },
  },
  control: {
    key: 'Throw',
    takes: ['count'],
    counts: { usual: PRACTICE.throws, choices: [6, 12, 24, 50] },
    turns: 'count',
    make: ({ count = PRACTICE.throws }) => ({ kind: 'throw', count }),
    choicesOf: ({ count }) => ({ count }),
  },
});
