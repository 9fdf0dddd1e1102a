import { z } from 'zod';
import { Count, Side, Spread, withSpread } from './actFields';
import { defineAct } from './actSpec';
import { forMinutes, roughly, rubbedOn } from './actWords';
import { BY_FEEL, byFeelOf } from './byFeel';
import { PRACTICE } from './practice';
import { WATER_INTENSITY } from './waterIntensity';

/** One rub of a hand over a face, in reference rolls. Common practice; nothing was measured. */
const REFERENCE_ROLLS = 0.4;

/** A face is rubbed. */
export const rub = defineAct(z.object({ kind: z.literal('rub'), face: Side, count: Count, give: Spread }))({
  place: 'bench',
  words: (act, of) => `Rub ${roughly(act.give)}${act.count}${rubbedOn(act.face, of)}`,
  caution: 'Soap or wool can irritate skin: wear gloves, rinse. Stop if it hurts or goes numb.',
  amount: ({ count, give = 0 }) => ({ count, spread: give }),
  work: ({ count, give = 0 }, water) => {
    const each = WATER_INTENSITY[water] * REFERENCE_ROLLS;
    return { rolls: count * each, spread: give * each, directionDeg: null };
  },
  fold: (fold, { face, count }) => {
    fold.rubs[face] = (fold.rubs[face] ?? 0) + count;
  },
  tally: act => [[String(act.face), act.count]],
  asked: {
    rub: {
      name: 'rub',
      takes: ['count', 'minutes'],
      words: ({ count, minutes }, each) => `Rub${count ? ` ${count}` : ''}${forMinutes(minutes)}${each}`,
      left: ({ count }, done, { faces }) => {
        const rubs = (face: number) => done(String(face));
        // By the clock it goes on, face for face, until the felter says that it is done.
        const open =
          count === undefined
            ? faces.toSorted((a, b) => rubs(a) - rubs(b))
            : faces.filter(face => rubs(face) < count);
        return open.map(face => ({
          does: 'act',
          kind: 'rub',
          choices: { face, count: count === undefined ? PRACTICE.rubs : count - rubs(face) },
        }));
      },
    },
  },
  control: {
    key: 'Rub',
    takes: ['side', 'count'],
    counts: { usual: PRACTICE.rubs, choices: [20, 40, 60, 100] },
    turns: 'count',
    byFeel: true,
    make: ({ face = 1, count = PRACTICE.rubs, feel }, usual) => {
      if (!feel) return { kind: 'rub', face, count };
      const rubs = Math.round(byFeelOf('rub', PRACTICE.rubs, usual));
      return { kind: 'rub', face, count: rubs, give: BY_FEEL * rubs };
    },
    choicesOf: ({ face, count, give }) => ({
      face,
      ...(give === BY_FEEL * count ? { feel: true } : { count }),
    }),
    counted: { noun: 'rubs', withCount: (act, count, give) => withSpread({ ...act, count }, give) },
  },
});
