import { z } from 'zod';
import { Count } from './actFields';
import { defineAct } from './actSpec';
import { times } from './actWords';

/** One cycle at 40 °C, in reference rolls. Common practice; nothing was measured. */
const REFERENCE_ROLLS = 400;

/** A cycle in the washing machine: it finishes the inside of large balls. */
export const machine = defineAct(z.object({ kind: z.literal('machine'), cycles: Count }))({
  place: 'bench',
  ofAll: true,
  words: act => `Machine wash at 40 °C, ${times(act.cycles)}`,
  caution: 'Tie them into a stocking or bag; fibre can block a machine. Follow its maker’s instructions.',
  amount: ({ cycles }) => ({ count: cycles, spread: 0 }),
  work: ({ cycles }) => ({ rolls: cycles * REFERENCE_ROLLS, spread: 0, directionDeg: null }),
  asked: {
    machine: {
      name: 'machine wash',
      takes: ['count'],
      words: step => `Machine wash at 40 °C, ${times(step.count ?? 1)}`,
      left: (step, done) => {
        const count = (step.count ?? 1) - done('');
        return count > 0 ? [{ does: 'act', kind: 'machine', choices: { count } }] : [];
      },
    },
  },
  control: {
    key: 'Machine',
    takes: ['count'],
    counts: { usual: 1, choices: [1, 2, 3] },
    turns: 'count',
    make: ({ count = 1 }) => ({ kind: 'machine', cycles: count }),
    choicesOf: ({ cycles }) => ({ count: cycles }),
  },
});
