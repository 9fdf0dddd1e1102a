import { z } from 'zod';
import { defineAct } from './actSpec';
import { doneOf } from './benchFold';
import { DRAWING_MARKS } from './vocabulary';

/** The piece is held against its drawing, or its resist: where its edge lies. */
export const compare = defineAct(
  z.object({
    kind: z.literal('compare'),
    at: z.enum(DRAWING_MARKS),
    /** Where it lay crosswise, where each way was looked at by itself: then `at` is lengthwise. All round when left out. */
    across: z.enum(DRAWING_MARKS).exactOptional(),
  }),
)({
  place: 'bench',
  words: ({ at, across = at }, of) =>
    across === at
      ? `By the drawing: ${of.markWords(at)}`
      : `By the drawing: lengthwise ${of.markWords(at)}, crosswise ${of.markWords(across)}`,
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
