import type { KitThing } from '../core/batch/kitOf';

/** What is packed for a class. */
export const KIT_THINGS: Readonly<Record<KitThing, string>> = {
  resist: 'resist, cut out',
  cover: 'net or thin plastic to cover the wool',
  mat: 'bubble wrap or mat to roll in',
  towel: 'towel',
  bowl: 'bowl of water',
  soap: 'piece of soap',
  card: 'card with the steps',
  scissors: 'pair of scissors',
};

/** What only an adult does where there are children. Common practice. */
export const WITH_CHILDREN: readonly string[] = [
  'Water no warmer than about 40 °C (104 °F); an adult pours it.',
  'An adult cuts the felt open and takes the resist out.',
  'No shocking with hot water.',
  'Keep small beads and loose wisps away from the youngest.',
];
