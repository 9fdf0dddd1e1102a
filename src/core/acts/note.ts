import { z } from 'zod';
import { defineAct } from './actSpec';

/** A word of the felter's. */
export const note = defineAct(z.object({ kind: z.literal('note'), text: z.string().min(1).max(2000) }))({
  place: 'bench',
  words: act => act.text,
});
