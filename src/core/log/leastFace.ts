import type { BenchState } from './benchState';
import type { RollDirection } from '../acts/vocabulary';

/** How a felter works. */
export interface WorkHabits {
  /** Numbers of the faces that are worked, e.g. [1, 2]. */
  readonly faces: readonly number[];
  /** Sides that are rolled, where they are others: the front and the back of a sheet. */
  readonly legs?: readonly number[];
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
