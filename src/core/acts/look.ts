import { z } from 'zod';
import { defineAct } from './actSpec';
import { FOAMS, WETNESSES } from './vocabulary';

export const WETNESS_WORDS = {
  dry: 'dry tufts',
  right: 'wet all through',
  pools: 'pools of water',
} as const;
export const FOAM_WORDS = { none: 'no soap to feel', right: 'slippery', much: 'too much foam' } as const;

/** What was seen at an opening; null where it was not looked at. */
export const look = defineAct(
  z.object({
    kind: z.literal('look'),
    wetness: z.enum(WETNESSES).nullable(),
    foam: z.enum(FOAMS).nullable(),
  }),
)({
  place: 'bench',
  words: act =>
    `Checked: ${[act.wetness && WETNESS_WORDS[act.wetness], act.foam && FOAM_WORDS[act.foam]].filter(Boolean).join(', ')}`,
  fold: (fold, act) => {
    fold.look = act;
  },
  asked: {
    look: {
      name: 'open and look',
      takes: [],
      words: () => 'Open it and look',
      left: (_, done) => (done('') > 0 ? [] : [{ does: 'panel', panel: 'look' }]),
    },
  },
});
