import { z } from 'zod';
import { Word } from './actFields';
import { defineAct } from './actSpec';

/** A step of the recipe: done, left out, or its clock started. */
export const step = defineAct(
  z.object({ kind: z.literal('step'), step: Word, how: z.enum(['done', 'skipped', 'started']) }),
)({
  place: 'bench',
  words: act => ({ done: 'Step done', skipped: 'Step skipped', started: 'Clock started' })[act.how],
  // What settles a step counts towards none.
  tally: () => [],
  control: {
    takes: [],
    make: choices => (choices.step === undefined ? null : { kind: 'step', step: choices.step, how: 'done' }),
    choicesOf: act => ({ step: act.step }),
  },
});
