import { z } from 'zod';
import { showQuantity } from '../units/units';
import { Grams, Name, Place } from './actFields';
import { defineAct } from './actSpec';

/** Wool laid on beside what was planned: over a thin spot, or where a colour ran out. It comes off its shelf. */
export const addWool = defineAct(
  z.object({
    kind: z.literal('addWool'),
    woolId: Name.nullable(),
    grams: Grams,
    at: Place.nullable(),
  }),
)({
  place: 'bench',
  words: (act, { units }) => `Wool added, ${showQuantity(act.grams, 'mass', units)}`,
});
