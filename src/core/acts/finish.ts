import { z } from 'zod';
import { showQuantity } from '../units/units';
import { Grams } from './actFields';
import { defineAct, type StepRest } from './actSpec';
import { forMinutes } from './actWords';
import {
  AIR_WORDS,
  AIRS,
  DRIES_ON,
  DRIES_ON_WORDS,
  FINISH,
  FINISH_STEPS,
  type FinishStep,
} from './finishSteps';
import type { RecipeStep } from './recipeStep';
import { WATERS } from './vocabulary';

const isFinishStep = (step: string | undefined): step is FinishStep =>
  FINISH_STEPS.some(known => known === step);

const inWater = ({ water }: RecipeStep): string => (water ? ` in ${water} water` : '');

/** Steps that a recipe says with its own water and minutes. */
const IN_A_RECIPE: Readonly<Partial<Record<FinishStep, (of: RecipeStep) => string>>> = {
  rinse: of => `Rinse${inWater(of)} until the water is clear; squeeze, never wring`,
  soak: of => `Soak${inWater(of)}${forMinutes(of.minutes)}, with a dash of white vinegar`,
  dry: of => `Let it dry${forMinutes(of.minutes)}`,
};

/** A step of finishing as a recipe asks for it. */
const asked = (step: FinishStep): StepRest => {
  const { name, doing, wait } = FINISH[step];
  const hasWater = step === 'rinse' || step === 'soak';
  return {
    name,
    takes: [...(wait === null ? [] : (['minutes'] as const)), ...(hasWater ? (['water'] as const) : [])],
    ...(hasWater ? { begins: { water: step === 'soak' ? 'cold' : 'warm' } } : {}),
    words: of => IN_A_RECIPE[step]?.(of) ?? `${doing.replace(/\.$/, '')}${forMinutes(of.minutes)}`,
    left: (_, count) => (count(step) > 0 ? [] : [{ does: 'act', kind: 'finish', choices: { step } }]),
  };
};

const HOW = ['done', 'begun', 'again', 'weighed', 'skipped'] as const;

/**
 * A step of finishing: done, begun and left to itself, done once more (a rinse that is not clear yet), weighed on the way, or left
 * out. Of many alike it is done to all.
 */
export const finish = defineAct(
  z.object({
    kind: z.literal('finish'),
    step: z.enum(FINISH_STEPS),
    how: z.enum(HOW),
    water: z.enum(WATERS).exactOptional(),
    on: z.enum(DRIES_ON).exactOptional(),
    air: z.enum(AIRS).exactOptional(),
    grams: Grams.exactOptional(),
  }),
)({
  place: 'bench',
  ofAll: true,
  words: ({ step, how, water, on, air, grams }, { units }) => {
    const { name, done } = FINISH[step];
    const where = [water && `${water} water`, on && `on ${DRIES_ON_WORDS[on]}`, air && AIR_WORDS[air]]
      .filter(Boolean)
      .map(words => `, ${words}`)
      .join('');
    switch (how) {
      case 'done':
        return `${done}${step === 'rinse' ? ', clear' : ''}${where}`;
      case 'again':
        return `${done}, not clear yet${where}`;
      case 'begun':
        return `${step === 'dry' ? 'Put to dry' : `Begun: ${name}`}${where}`;
      case 'weighed':
        return `Weighed while it dries${grams === undefined ? '' : `, ${showQuantity(grams, 'mass', units)}`}`;
      case 'skipped':
        return `Left out: ${name}`;
    }
  },
  tally: ({ step, how }) => (how === 'done' || how === 'skipped' ? [[step, 1]] : []),
  asked: Object.fromEntries(FINISH_STEPS.filter(s => s !== 'cutDry').map(step => [step, asked(step)])),
  control: {
    takes: [],
    make: ({ step, water }) =>
      isFinishStep(step) ? { kind: 'finish', step, how: 'done', ...(water ? { water } : {}) } : null,
    choicesOf: ({ step, water }) => ({ step, ...(water ? { water } : {}) }),
  },
});
