import { z } from 'zod';
import { defineAct } from './actSpec';

/** The mouth was cut, or the resist taken out, which cuts it too. */
export const open = defineAct(
  z.object({
    kind: z.literal('open'),
    what: z.enum(['cut', 'resist-out']),
    /** Which of several cuts, from 1: petals. All of them when left out. */
    cut: z.number().int().min(1).max(10_000).exactOptional(),
  }),
)({
  place: 'bench',
  words: ({ what, cut }) =>
    what === 'resist-out' ? 'Resist taken out' : cut === undefined ? 'Cut open' : `Cut ${cut} made`,
  caution:
    'Cut a little at a time, not into the resist, away from your other hand. An adult cuts for children.',
  fold: (fold, { what, cut }) => {
    fold.isCut = true;
    if (what === 'cut') fold.cuts = cut ?? Number.POSITIVE_INFINITY;
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
    make: ({ what, cut }) =>
      what === 'cut' || what === 'resist-out'
        ? { kind: 'open', what, ...(cut === undefined ? {} : { cut }) }
        : null,
    choicesOf: ({ what, cut }) => ({ what, ...(cut === undefined ? {} : { cut }) }),
  },
});
