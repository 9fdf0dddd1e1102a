import type { KitThing } from '../core/ways/kitThing';

/** What is packed for a class. */
export const KIT_WORDS: Readonly<Record<KitThing, string>> = {
  resist: 'resist, cut out',
  cover: 'net or thin plastic to cover the wool',
  mat: 'bubble wrap or mat to roll in',
  towel: 'towel',
  bowl: 'bowl of water',
  soap: 'piece of soap',
  card: 'card with the steps',
  scissors: 'pair of scissors',
  ball: 'ball or balloon to work on, with a bowl to stand it in',
  stocking: 'stocking',
  tub: 'bowl with a lid',
  board: 'board or mat that grips',
  tube: 'tube, and thin plastic cut to its height',
  bands: 'bands to bind it with',
  basin: 'basin',
  tool: 'spoon or plunger to stir and press with',
  grid: 'grid, cut out',
  cloth: 'cloth, cut to size',
  form: 'form to dry it on',
};

/** What only an adult does where there are children. Common practice. */
export const WITH_CHILDREN: readonly string[] = [
  'Water no warmer than about 40 °C (104 °F); an adult pours it.',
  'An adult cuts the felt open and takes the resist out.',
  'No shocking with hot water.',
  'Keep small beads and loose wisps away from the youngest.',
];
