import { z } from 'zod';
import { Count, Side, Spread, withSpread } from './actFields';
import { defineAct } from './actSpec';
import { inDirection, roughly, sideUp } from './actWords';
import type { UsualWork } from './actSpec';
import { BY_FEEL, byFeelOf } from './byFeel';
import { addPetal } from './benchFold';
import type { RecipeStep, StepMove, WorkScope } from './recipeStep';
import { CUSHION_WORDS } from './cushionWords';
import { rollIntensity } from './rollIntensity';
import { CUSHIONS, PRESSURES, ROLL_DIRECTIONS } from './vocabulary';
import { WATER_INTENSITY } from './waterIntensity';

/** Rolls of a round each way, where a recipe does not say. Common practice. */
const USUAL_ROLLS = 30;

/**
 * What is left of a round each way: on each side of what is worked side by side; of a sheet half with its front up and half with
 * its back; of what has no directions in all.
 */
const roundLeft = (
  step: RecipeStep,
  done: (key: string) => number,
  { faces, legs, hasDirections }: WorkScope,
): readonly StepMove[] => {
  const wanted = step.count ?? USUAL_ROLLS;
  const isTurned = legs.length > faces.length;
  const ways = hasDirections
    ? legs.flatMap(face => ([0, 90] as const).map(deg => ({ face, deg, key: `${face}/${deg}` })))
    : [{ face: legs[0] ?? 1, deg: 0 as const, key: 'all' }];
  return ways.flatMap(({ face, deg, key }): StepMove[] => {
    const own = (isTurned ? Math.ceil(wanted / legs.length) : wanted) - done(key);
    const count = isTurned ? Math.min(own, wanted - done(`each/${deg}`)) : own;
    const how = step.cushion ? { cushion: step.cushion } : {};
    return count > 0
      ? [{ does: 'act', kind: 'roll', choices: { face, directionDeg: deg, count, ...how } }]
      : [];
  });
};

/** So many rolls; by feel as many as this maker usually does, and known as badly as that. */
const rollsOf = (count: number | null, usual: UsualWork): { rolls: number; give?: number } => {
  if (count !== null) return { rolls: count };
  const rolls = Math.round(byFeelOf('roll', usual.setOfRolls, usual));
  return { rolls, give: BY_FEEL * rolls };
};

/** The bundle is rolled, in a direction, with a face up; a solid every way. */
export const roll = defineAct(
  z.object({
    kind: z.literal('roll'),
    face: Side,
    directionDeg: z.literal(ROLL_DIRECTIONS),
    rolls: Count,
    give: Spread,
    cushion: z.enum(CUSHIONS),
    pressure: z.enum(PRESSURES),
  }),
)({
  place: 'bench',
  words: (act, of) =>
    `Roll ${roughly(act.give)}${act.rolls}${inDirection(act.directionDeg, of)}${sideUp(act.face, of)}`,
  caution:
    'Work at counter height; change posture and stretch after every set. Stop if it hurts or goes numb.',
  amount: ({ rolls, give = 0 }) => ({ count: rolls, spread: give }),
  work: ({ rolls, give = 0, cushion, pressure, directionDeg }, water) => {
    const each = WATER_INTENSITY[water] * rollIntensity(cushion, pressure);
    return { rolls: rolls * each, spread: give * each, directionDeg };
  },
  fold: (fold, { face, directionDeg, rolls, cushion, pressure }) => {
    fold.up = face;
    addPetal(fold, { face, directionDeg, rolls, work: rolls * rollIntensity(cushion, pressure) });
  },
  tally: ({ face, directionDeg, rolls }) => [
    [`${face}/${directionDeg}`, rolls],
    [`each/${directionDeg}`, rolls],
    ['all', rolls],
  ],
  asked: {
    roll: {
      name: 'a round of rolling',
      takes: ['count', 'cushion'],
      begins: { cushion: 'bubble' },
      words: (step, each) =>
        `A round of ${step.count ?? USUAL_ROLLS} rolls each way${each}${step.cushion ? `, ${CUSHION_WORDS[step.cushion]}` : ''}`,
      left: (step, done, as) => roundLeft(step, done, as),
    },
  },
  control: {
    key: 'Roll',
    takes: ['direction', 'side', 'count', 'cushion', 'pressure'],
    counts: { usual: USUAL_ROLLS, choices: [10, 20, 30, 50, 100] },
    turns: 'direction',
    make: ({ face = 1, directionDeg = 0, count, feel, cushion, pressure }, usual) => ({
      kind: 'roll',
      face,
      directionDeg,
      ...rollsOf(feel ? null : (count ?? usual.setOfRolls), usual),
      cushion: cushion ?? usual.cushion,
      pressure: pressure ?? usual.pressure,
    }),
    byFeel: true,
    choicesOf: ({ face, directionDeg, rolls, give, cushion }) => ({
      face,
      directionDeg,
      ...(give === BY_FEEL * rolls ? { feel: true } : { count: rolls }),
      cushion,
    }),
    counted: { noun: 'rolls', withCount: (act, rolls, give) => withSpread({ ...act, rolls }, give) },
  },
});
