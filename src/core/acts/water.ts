import { z } from 'zod';
import { defineAct } from './actSpec';
import { WATERS } from './vocabulary';

/** The water was changed, or heated again. */
export const water = defineAct(z.object({ kind: z.literal('water'), water: z.enum(WATERS) }))({
  place: 'bench',
  ofAll: true,
  words: act => `${{ hot: 'Hot', warm: 'Warm', cold: 'Cold' }[act.water]} water again`,
  water: act => act.water,
  fold: (fold, act) => {
    fold.water = act.water;
  },
});
