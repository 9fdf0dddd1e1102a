import type { Cushion } from '../acts/vocabulary';

/** From which share of the way on each cushion is usual: a layer is taken away at each round. Common practice. */
const FROM: ReadonlyArray<readonly [Cushion, number]> = [
  ['bare', 0.75],
  ['mat', 0.45],
  ['bubble', 0.08],
  ['thick', Number.NEGATIVE_INFINITY],
];

/** The cushion that is usual now. @param progress share of the way from laid to wanted; null before it was measured */
export const usualCushion = (progress: number | null): Cushion =>
  FROM.find(([, from]) => (progress ?? 0) >= from)?.[0] ?? 'thick';
