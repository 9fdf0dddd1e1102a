import { z } from 'zod';
import { showQuantity } from '../units/units';
import { Grams, Name, Word } from './actFields';
import { defineAct } from './actSpec';

/** A pile weighed for this piece: net grams, what was planned, and the bowl that was taken off. */
export const weigh = defineAct(
  z.object({
    kind: z.literal('weigh'),
    pile: Word,
    woolId: Name.nullable(),
    grams: Grams,
    plannedG: Grams,
    tareG: Grams,
  }),
)({
  place: 'beside',
  words: (act, { units }) => `Weighed ${showQuantity(act.grams, 'mass', units)}`,
});
