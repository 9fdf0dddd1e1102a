import { z } from 'zod';
import { Name } from './actFields';
import { defineAct } from './actSpec';

/** A fault that is mended: the entry that saw it. */
export const mended = defineAct(z.object({ kind: z.literal('mended'), of: Name }))({
  place: 'bench',
  words: () => 'Mended',
  fold: (fold, act) => {
    fold.faults.delete(act.of);
  },
});
