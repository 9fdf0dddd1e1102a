import { byDirection, rubsOf, type SeenFault } from '../acts/benchFold';
import type { BenchState } from '../log/benchState';
import type { RollDirection } from '../acts/vocabulary';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';
import type { ProposedAct } from './proposedAct';
import { leastFace, type WorkHabits } from '../log/leastFace';
import { PRACTICE } from '../acts/practice';

/**
 * The diagonal that a place lies on, seen from the middle of what was laid.
 * @param at in the piece's own frame, mm: x along, y across
 */
const diagonalTo = (at: Point, laid: Polygon): RollDirection => {
  const { minX, minY, maxX, maxY } = boundsOf(laid);
  const [x, y] = [at.x - (minX + maxX) / 2, at.y - (minY + maxY) / 2];
  return x * y >= 0 ? 45 : 135;
};

const cornerAct = (seen: SeenFault, state: BenchState, of: Of): ProposedAct | null => {
  if (!seen.at) return null;
  const directionDeg = diagonalTo(seen.at, of.laid);
  const done =
    (byDirection(state.petals)[directionDeg] ?? 0) - (seen.doneThen.byDirection[directionDeg] ?? 0);
  const rolls = Math.min(PRACTICE.corner - done, of.worked.setOfRolls);
  if (rolls <= 0) return null;
  const { face } = leastFace(state, of.worked.faces, directionDeg);
  return { act: 'roll', face, directionDeg, rolls, reason: 'corner-lags' };
};

const thinAct = (seen: SeenFault, state: BenchState, { worked }: Of): ProposedAct | null => {
  const count = PRACTICE.rubs - (rubsOf(state.rubs) - seen.doneThen.rubs);
  return count > 0 ? { act: 'rub', face: worked.faces[0] ?? 1, count, reason: 'thin-to-mend' } : null;
};

interface Of {
  /** The outline as laid, mm, in the piece's own frame. */
  readonly laid: Polygon;
  readonly worked: WorkHabits;
}

const ASKS: ReadonlyMap<string, typeof cornerAct> = new Map([
  ['thin', thinAct],
  ['corner', cornerAct],
]);

/**
 * What a fault that was seen and is not mended asks for before it is rolled on: a corner that lags is rolled on its diagonal, a
 * thin spot rubbed once it is covered. Common practice. It waits for everything but rolling.
 */
export const faultAct = (proposed: ProposedAct, state: BenchState, of: Of): ProposedAct => {
  if (proposed.act !== 'roll') return proposed;
  for (const seen of state.faults) {
    const act = ASKS.get(seen.fault)?.(seen, state, of);
    if (act) return act;
  }
  return proposed;
};
