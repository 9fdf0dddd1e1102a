import { z } from 'zod';
import { defineAct } from './actSpec';

/** The mouth was cut, or the resist taken out, which cuts it too. */
export const open = defineAct(z.object({ kind: z.literal('open'), what: z.enum(['cut', 'resist-out']) }))({
  place: 'bench',
  words: act => (act.what === 'cut' ? 'Cut open' : 'Resist taken out'),
  caution:
    'Cut a little at a time, not into the resist, away from your other hand. An adult cuts for children.',
  fold: (fold, { what }) => {
    fold.isCut = true;
    fold.cutSinceEdges = true;
    fold.workSinceOpen = 0;
    fold.isResistOut ||= what === 'resist-out';
  },
  tally: ({ what }) => [
    ['cut', 1],
    ['resist-out', what === 'resist-out' ? 1 : 0],
  ],
  asked: {
    cut: {
      name: 'cut it open',
      takes: [],
      words: () => 'Cut the opening a little at a time, not into the resist',
      left: (_, done) => (done('cut') > 0 ? [] : [{ does: 'act', kind: 'open', choices: { what: 'cut' } }]),
    },
    'resist-out': {
      name: 'take the resist out',
      takes: [],
      words: () => 'Take the resist out; work the inside too',
      left: (_, done) =>
        done('resist-out') > 0 ? [] : [{ does: 'act', kind: 'open', choices: { what: 'resist-out' } }],
    },
  },
  control: {
    takes: [],
    make: ({ what }) => (what === 'cut' || what === 'resist-out' ? { kind: 'open', what } : null),
    choicesOf: ({ what }) => ({ what }),
  },
});
