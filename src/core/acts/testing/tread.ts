import { z } from 'zod';
import { defineAct } from '../actSpec';

/** A made-up act, all of it in this one file: the piece is trodden underfoot. */
export const tread = defineAct(
  z.object({
    kind: z.literal('tread'),
    steps: z.number().int().min(1).max(5000),
    water: z.enum(['hot', 'warm']),
  }),
)({
  place: 'bench',
  words: ({ steps, water }) => `Tread ${steps} steps in ${water} water`,
  caution: 'Wet felt is slippery underfoot: hold on to something.',
  amount: ({ steps }) => ({ count: steps, spread: 0 }),
  work: ({ steps }) => ({ rolls: 2 * steps, spread: 0, directionDeg: null }),
  water: act => act.water,
  fold: (fold, act) => {
    fold.water = act.water;
  },
  asked: {
    tread: {
      name: 'tread',
      takes: ['count', 'water'],
      words: step => `Tread ${step.count ?? 50} steps`,
      left: (step, done) => {
        const count = (step.count ?? 50) - done('');
        return count > 0 ? [{ does: 'act', kind: 'tread', choices: { count } }] : [];
      },
    },
  },
  control: {
    key: 'Tread',
    takes: ['count', 'water'],
    counts: { usual: 50, choices: [50, 100] },
    turns: 'count',
    make: ({ count = 50, water }) => ({
      kind: 'tread',
      steps: count,
      water: water === 'warm' ? 'warm' : 'hot',
    }),
    choicesOf: ({ steps, water }) => ({ count: steps, water }),
    counted: { noun: 'steps', withCount: (act, steps) => ({ ...act, steps }) },
  },
});
