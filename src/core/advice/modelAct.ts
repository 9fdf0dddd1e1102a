import type { BenchState } from '../log/benchState';
import type { PieceForecast } from '../felting/forecastPiece';
import type { FeltingWork } from '../felting/feltingModel';
import type { RollsAhead } from '../felting/planAhead';
import type { GaugeProgress } from '../forecast/forecast';
import { gaugeAxis } from '../forms/gaugeAxis';
import { firmAct, type FirmTest } from './firmTest';
import { leastFace, type WorkHabits } from '../log/leastFace';
import type { ProposedAct } from './proposedAct';

/** What the felting model says of a piece, and how it was asked. */
export interface ModelAnswer {
  readonly pieceForecast: PieceForecast;
  /** What one roll counted when it was asked, reference rolls. */
  readonly intensity: number;
  /** Work since the last measuring. */
  readonly since: FeltingWork;
  readonly hasDirections: boolean;
  /** How much of what wexpected before measuring is from the maker's own work, and how many pieces and swatches said so. */
  readonly learntFrom: { readonly ownShare: number; readonly pieces: number };
}

/** Fewer rolls than this are not worth a bundle. */
export const FEW_ROLLS = 5;
/** A reading that does not fit is taken again so often; then it stands. */
const LOOKS = 2;
/** More likely than not below its size. */
const LIKELY = 0.5;

/** What is left of a move from the last measuring, rolls, after what was done since; free work counts half each way. */
export const restOfMove = (
  move: RollsAhead,
  { since, intensity, hasDirections }: Pick<ModelAnswer, 'since' | 'intensity' | 'hasDirections'>,
): RollsAhead => {
  const even = since.free / 2;
  const rest = (rolls: number, done: number): number => Math.max(0, rolls - done / intensity);
  return hasDirections
    ? { along: rest(move.along, since.xx + even), across: rest(move.across, since.yy + even) }
    : { along: rest(move.along + move.across, since.free), across: 0 };
};

/** Rolls in tens, ten at least. */
export const tensOfRolls = (rolls: number): number => Math.max(10, Math.round(rolls / 10) * 10);

const stopAt = (kind: 'there' | 'best' | 'limit'): ProposedAct => ({
  act: 'stop',
  reason: kind === 'there' ? 'size-and-firm' : kind === 'best' ? 'as-near-as-it-gets' : 'at-its-limit',
});

/** The next act as the felting model has it, once the skin holds. */
export const modelAct = (
  state: BenchState,
  model: ModelAnswer,
  of: {
    readonly gaugeProgress: readonly GaugeProgress[];
    readonly worked: WorkHabits;
    readonly test: FirmTest;
  },
): ProposedAct => {
  const { pieceForecast, since, intensity } = model;
  const { move } = pieceForecast;
  const { faces, setOfRolls } = of.worked;
  const worked = since.directional + since.free > 0;
  const odd = pieceForecast.doubts.find(
    d => d.interval === pieceForecast.measurings - 1 && d.chance > LIKELY,
  );
  const oddOne = odd && of.gaugeProgress[odd.gauge];
  if (oddOne && !worked && pieceForecast.looks < LOOKS)
    return { act: 'measure', reason: 'does-not-fit', about: oddOne };
  const past = pieceForecast.pastNow.findIndex(p => p > LIKELY);
  const about = of.gaugeProgress[past];
  if (about && pieceForecast.measurings > 0)
    return worked
      ? { act: 'measure', reason: 'nearly-there' }
      : { act: 'stretch', reason: 'too-small', about };
  if (move.kind === 'measure') return { act: 'measure', reason: worked ? 'measure-due' : 'look-again' };
  if (move.kind !== 'roll') {
    const firm = firmAct(state, of.test);
    if (firm) return firm;
    // Firm by now, but what firms it shrinks it too: its size is looked at before it is left.
    return worked ? { act: 'measure', reason: 'nearly-there' } : stopAt(move.kind);
  }
  const rest = restOfMove(move.rolls, model);
  if (Math.max(rest.along, rest.across) < FEW_ROLLS || intensity <= 0)
    return { act: 'measure', reason: 'measure-due' };
  const directionDeg = rest.along >= rest.across ? 0 : 90;
  const rolls = Math.min(setOfRolls, tensOfRolls(directionDeg === 0 ? rest.along : rest.across));
  const axis = directionDeg === 0 ? 'along' : 'across';
  const own = of.gaugeProgress.find(s => gaugeAxis(s.gauge.directionDeg) === axis);
  return {
    act: 'roll',
    face: leastFace(state, faces, directionDeg).face,
    directionDeg,
    rolls,
    reason: 'way-to-go',
    ...(own ? { about: own } : {}),
  };
};
