import { z } from 'zod';
import { Count } from './actFields';
import { defineAct } from './actSpec';
import { times } from './actWords';

/** Once hot and cold, in reference rolls, whatever the water was before. Common practice; nothing was measured. */
const REFERENCE_ROLLS = 15;
/** Rounds of a recipe that does not say. Common practice. */
const USUAL_ROUNDS = 2;

/** Hot and cold water in turn. */
export const shock = defineAct(z.object({ kind: z.literal('shock'), rounds: Count }))({
  place: 'bench',
  words: act => `Hot and cold, ${times(act.rounds)}`,
  caution:
    'Water too hot for your hands needs gloves or a tool. Pour away from people; an adult pours for children.',
  amount: ({ rounds }) => ({ count: rounds, spread: 0 }),
  work: ({ rounds }) => ({ rolls: rounds * REFERENCE_ROLLS, spread: 0, directionDeg: null }),
  asked: {
    shock: {
      name: 'hot and cold',
      takes: ['count'],
      words: step => `Hot and cold in turn, ${step.count ?? USUAL_ROUNDS} times`,
      left: (step, done) => {
        const count = (step.count ?? USUAL_ROUNDS) - done('');
        return count > 0 ? [{ does: 'act', kind: 'shock', choices: { count } }] : [];
      },
    },
  },
  control: {
    key: 'Hot/cold',
    takes: ['count'],
    counts: { usual: 1, choices: [1, 2, 3, 4] },
    turns: 'count',
    make: ({ count = 1 }) => ({ kind: 'shock', rounds: count }),
    choicesOf: ({ rounds }) => ({ count: rounds }),
  },
});
