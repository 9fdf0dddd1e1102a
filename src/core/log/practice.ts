import type { BenchState } from './benchState';
import type { RollDirection } from './entry';

/** Counts the advice goes by. Common practice, no published source. */
export const PRACTICE = {
  /** Rubs on a face before its skin is tested. */
  rubs: 40,
  /** Rolls in a set near the end. */
  shortSet: 10,
  /** Rolls between measurings; near the end, or when the work is lopsided. */
  measureEvery: { far: 200, near: 60 },
  /** Rolls on the diagonal of a corner that lags, before it is looked at again. */
  corner: 20,
  /** Throws before it is tested again. */
  throws: 12,
} as const;
/** How a felter works. */
export interface Worked {
  /** Numbers of the faces that are worked, e.g. [1, 2]. */
  readonly faces: readonly number[];
  /** Rolls in a set, as the felter likes them. */
  readonly setOfRolls: number;
}

const workAt = (state: BenchState, directionDeg: number, face: number): number =>
  state.petals.find(p => p.directionDeg === directionDeg && p.face === face)?.work ?? 0;

/** The face with the least work in a direction, and that work; the first of equals. */
export const leastFace = (state: BenchState, faces: readonly number[], directionDeg: RollDirection) =>
  faces
    .map(face => ({ face, directionDeg, work: workAt(state, directionDeg, face) }))
    .reduce((a, b) => (b.work < a.work ? b : a), { face: 1, directionDeg, work: Number.POSITIVE_INFINITY });
