/** The ways in which felt is worked. What each is stands in `core/ways`. */
export const WAY_IDS = [
  'bundle',
  'hands',
  'sheet',
  'cloth',
  'grid',
  'ball',
  'palms',
  'many',
  'stocking',
  'tube',
  'cord',
  'basin',
] as const;
export type WayId = (typeof WAY_IDS)[number];
