import { z } from 'zod';
import { Side } from './actFields';
import { defineAct } from './actSpec';
import { onFace } from './actWords';

/** A face is wetted. */
export const wet = defineAct(
  z.object({ kind: z.literal('wet'), face: Side, water: z.enum(['warm', 'hot']) }),
)({
  place: 'bench',
  words: (act, of) => `Wet with ${act.water} water${onFace(act.face, of)}`,
  caution:
    'Bare hands take about 45–50 °C (113–122 °F); hotter needs gloves. Children: about 40 °C (104 °F), an adult pours. Mind wet floors.',
  water: act => act.water,
  fold: (fold, act) => {
    fold.wetted.add(act.face);
    fold.water = act.water;
  },
  tally: act => [[String(act.face), 1]],
  asked: {
    wet: {
      name: 'wet',
      takes: ['water'],
      begins: { water: 'hot' },
      words: (step, each) => `Wet it${step.water ? ` with ${step.water} water` : ''}${each}`,
      left: (step, done, { faces }) =>
        faces
          .filter(face => done(String(face)) === 0)
          .map(face => ({
            does: 'act',
            kind: 'wet',
            choices: { face, water: step.water === 'warm' ? 'warm' : 'hot' },
          })),
    },
  },
  control: {
    key: 'Wet',
    takes: ['side', 'water'],
    turns: 'water',
    make: ({ face = 1, water }) => ({ kind: 'wet', face, water: water === 'warm' ? 'warm' : 'hot' }),
    choicesOf: ({ face, water }) => ({ face, water }),
  },
});
