import { z } from 'zod';
import { Name } from './actFields';
import { defineAct } from './actSpec';

/** Takes an entry back; taking an undo back brings the entry again. */
export const undo = defineAct(z.object({ kind: z.literal('undo'), of: Name }))({
  place: 'log',
  words: () => 'Undone',
});
