import { z } from 'zod';
import { Name } from './actFields';
import { defineAct } from './actSpec';

/** A word of the felter's; it may be about another entry: what a picture shows. */
export const note = defineAct(
  z.object({ kind: z.literal('note'), text: z.string().min(1).max(2000), of: Name.exactOptional() }),
)({
  place: 'bench',
  words: act => act.text,
});
