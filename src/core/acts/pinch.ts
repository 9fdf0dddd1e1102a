import { z } from 'zod';
import { defineAct } from './actSpec';
import { PINCH_GRADES, type PinchGrade } from './vocabulary';

export const PINCH: Readonly<Record<PinchGrade, string>> = {
  0: 'strands come away',
  1: 'strands lift',
  2: 'the skin lifts as one',
  3: 'nothing lifts',
};

/** The skin is pinched. */
export const pinch = defineAct(z.object({ kind: z.literal('pinch'), grade: z.literal(PINCH_GRADES) }))({
  place: 'bench',
  words: act => `Pinch: ${PINCH[act.grade]}`,
  fold: (fold, { grade }) => {
    fold.pinch = grade;
    fold.workSincePinch = 0;
  },
  asked: {
    pinch: {
      name: 'pinch test',
      takes: [],
      words: () => 'Pinch test: does the skin hold?',
      left: (_, done) => (done('') > 0 ? [] : [{ does: 'panel', panel: 'pinch' }]),
    },
  },
});
