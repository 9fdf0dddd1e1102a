/** Things that a class, or a table, may need beside the wool. What they are called stands in `src/words/kit.ts`. */
export const KIT_THINGS = [
  'resist',
  'cover',
  'mat',
  'towel',
  'bowl',
  'soap',
  'card',
  'scissors',
  'ball',
  'stocking',
  'tub',
  'board',
  'tube',
  'bands',
  'basin',
  'tool',
  'grid',
  'cloth',
  'form',
] as const;
export type KitThing = (typeof KIT_THINGS)[number];
