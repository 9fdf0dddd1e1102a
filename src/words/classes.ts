/** Stages of a class, as they are told. */
export const TAUGHT_WORDS = {
  lay: 'Lay the wool',
  felt: 'Felt it',
  finish: 'Rinse and shape it',
} as const;
