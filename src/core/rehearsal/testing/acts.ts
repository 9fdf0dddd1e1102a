import type { Act } from '../../acts/act';

/** Acts as tests do them. */
export const wet = (face = 1): Act => ({ kind: 'wet', face, water: 'hot' });
export const rub = (face = 1, count = 40): Act => ({ kind: 'rub', face, count });
export const roll = (rolls: number, directionDeg: 0 | 90 = 0, face = 1): Act => ({
  kind: 'roll',
  face,
  directionDeg,
  rolls,
  cushion: 'bubble',
  pressure: 'arms',
});
