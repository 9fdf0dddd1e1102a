import { z } from 'zod';
import { defineAct } from './actSpec';
import { doneOf } from './benchFold';
import { DRAWING_MARKS } from './vocabulary';

/** The piece is held against its drawing, or its resist: where its edge lies. */
export const compare = defineAct(z.object({ kind: z.literal('compare'), at: z.enum(DRAWING_MARKS) }))({
  place: 'bench',
  words: ({ at }, of) => `By the drawing: ${of.markWords(at)}`,
  fold: (fold, { at: drawing }, { entryId, at }) => {
    const [rollsBefore, throwsBefore] = [doneOf(fold, 'roll'), doneOf(fold, 'throw')];
    fold.readings.push({ entryId, at, readings: {}, drawing, rollsBefore, throwsBefore });
  },
  asked: {
    compare: {
      name: 'check against the drawing',
      takes: [],
      words: () => 'Check it against the drawing',
      left: (_, done) => (done('') > 0 ? [] : [{ does: 'panel', panel: 'compare' }]),
    },
  },
});
