import { z } from 'zod';
import { Word } from './actFields';
import { defineAct } from './actSpec';

/** A step of laying, done or left out. */
export const lay = defineAct(
  z.object({ kind: z.literal('lay'), step: Word, how: z.enum(['done', 'skipped']) }),
)({
  place: 'beside',
  words: act => (act.how === 'done' ? 'Laid' : 'Skipped'),
});
