import { agoWords } from '../../core/log/rest';
import { type RecipeAct, type RecipeStep, USUAL_COUNT } from '../../core/recipe/recipe';
import { CUSHION_WORDS } from './rollWords';

export const RECIPE_ACT_WORDS: Readonly<Record<RecipeAct, string>> = {
  wet: 'wet',
  rub: 'rub',
  pinch: 'pinch test',
  roll: 'a round of rolling',
  look: 'open and look',
  measure: 'measure',
  cut: 'cut it open',
  'resist-out': 'take the resist out',
  edges: 'rub the cut edges',
  throw: 'throw',
  shock: 'hot and cold',
  rinse: 'rinse',
  soak: 'soak',
  shape: 'shape',
  dry: 'dry',
};

const clock = (minutes: number | undefined): string =>
  minutes === undefined ? '' : ` for ${agoWords(minutes)}`;

/** A step of a recipe in words. */
export const recipeWords = (step: RecipeStep, faces: number): string => {
  const each = faces > 1 ? ', each face' : '';
  const water = step.water ? ` in ${step.water} water` : '';
  switch (step.act) {
    case 'wet':
      return `Wet it${step.water ? ` with ${step.water} water` : ''}${each}`;
    case 'rub':
      return `Rub${step.count ? ` ${step.count}` : ''}${clock(step.minutes)}${each}`;
    case 'pinch':
      return 'Pinch test: does the skin hold?';
    case 'roll':
      return `A round of ${step.count ?? USUAL_COUNT.roll} each way${each}${step.cushion ? `, ${CUSHION_WORDS[step.cushion]}` : ''}`;
    case 'look':
      return 'Open it and look';
    case 'measure':
      return 'Measure';
    case 'cut':
      return 'Cut the mouth, a little at a time, not into the resist';
    case 'resist-out':
      return 'Take the resist out; the inside gets its share';
    case 'edges':
      return 'Rub the cut edges with soap until they heal';
    case 'throw':
      return `Throw ${step.count ?? USUAL_COUNT.throw} times`;
    case 'shock':
      return `Hot and cold in turn, ${step.count ?? USUAL_COUNT.shock} times`;
    case 'rinse':
      return `Rinse${water} until it is clear; squeeze, never wring`;
    case 'soak':
      return `Soak${water}${clock(step.minutes)}, with a dash of white vinegar`;
    case 'shape':
      return 'Roll it in a towel, and shape it: it dries as it is left';
    case 'dry':
      return `Let it dry${clock(step.minutes)}`;
  }
};
