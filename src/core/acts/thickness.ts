import { z } from 'zod';
import { LIMITS } from '../limits';
import { showQuantity } from '../units/units';
import { ThicknessMm } from './actFields';
import { defineAct } from './actSpec';

/** Thickness, mm, and what the damp or dry piece weighed, g; null where it was not weighed. */
export const thickness = defineAct(
  z.object({
    kind: z.literal('thickness'),
    thicknessMm: ThicknessMm,
    grams: z.number().min(LIMITS.weighedG.least).max(LIMITS.weighedG.most).nullable(),
  }),
)({
  place: 'bench',
  words: (act, { units }) => `Thickness ${showQuantity(act.thicknessMm, 'thickness', units)}`,
  fold: (fold, act) => {
    fold.thickness = act;
  },
});
