import { z } from 'zod';
import { Place, Word } from './actFields';
import { defineAct } from './actSpec';
import { byDirection, doneOf, rubsOf } from './benchFold';

/** Something that is wrong: which fault, and where on the laid outline; null where it has no place. */
export const fault = defineAct(z.object({ kind: z.literal('fault'), fault: Word, at: Place.nullable() }))({
  place: 'bench',
  words: (act, of) => `Problem: ${of.faultName(act.fault)}`,
  fold: (fold, act, { entryId }) => {
    fold.faults.set(entryId, {
      entryId,
      fault: act.fault,
      at: act.at,
      rollsThen: doneOf(fold, 'roll'),
      doneThen: { byDirection: byDirection(fold.petals.values()), rubs: rubsOf(fold.rubs) },
    });
  },
});
