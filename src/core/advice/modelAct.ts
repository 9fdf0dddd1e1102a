import type { BenchState } from '../log/benchState';
import type { PieceForecast } from '../felting/forecastPiece';
import type { FeltingWork } from '../felting/feltingModel';
import type { RollsAhead } from '../felting/planAhead';
import type { GaugeProgress } from '../forecast/forecast';
import { gaugeAxis } from '../forms/gaugeAxis';
import type { FirmTest } from '../acts/feltTests';
import { firmAct } from './firmTest';
import { leastFace, type WorkHabits } from '../log/leastFace';
import type { UsualAmount, Way } from '../ways/way';
import type { ProposedAct } from './proposedAct';
import { usualAct } from './usualAct';

/** What the felting model says of a piece, and how it was asked. */
export interface ModelAnswer {
  readonly pieceForecast: PieceForecast;
  /** What one roll counted when it was asked, reference rolls: 1 where it is not rolled. */
  readonly intensity: number;
  /** What one unit of the act that shrinks it counts, reference rolls: of a roll, of a minute. */
  readonly perUnit: number;
  /** Work since the last measuring. */
  readonly since: FeltingWork;
  readonly hasDirections: boolean;
  /** How much of what was expected before measuring is from the maker's own work, and how many pieces and swatches said so. */
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
const tensOfRolls = (rolls: number): number => Math.max(10, Math.round(rolls / 10) * 10);

const stopAt = (kind: 'there' | 'best' | 'limit'): ProposedAct => ({
  act: 'stop',
  reason: kind === 'there' ? 'size-and-firm' : kind === 'best' ? 'as-near-as-it-gets' : 'at-its-limit',
});

interface Of {
  readonly gaugeProgress: readonly GaugeProgress[];
  readonly worked: WorkHabits;
  readonly test: FirmTest;
  readonly way: Way;
  readonly shrink: UsualAmount;
}

/** Half minutes below three, whole ones above. */
const roundMinutes = (minutes: number): number =>
  minutes < 3 ? Math.max(0.5, Math.round(2 * minutes) / 2) : Math.round(minutes);

/** Rolls that are left, as units of what shrinks it in this way: minutes in the palms. No more than is usual at once. */
const timedAct = (
  rolls: number,
  { intensity, perUnit }: ModelAnswer,
  { shrink, gaugeProgress }: Of,
): ProposedAct => {
  const [own] = gaugeProgress;
  return {
    act: 'other',
    kind: shrink.kind,
    count: Math.min(shrink.count, roundMinutes((rolls * intensity) / perUnit)),
    reason: 'way-to-go',
    ...(own ? { about: own } : {}),
  };
};

const rollAct = (state: BenchState, rest: RollsAhead, of: Of): ProposedAct => {
  const { faces: sides, legs: faces = sides, setOfRolls } = of.worked;
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

/** Turns of work that go by before a measuring that was passed over is asked for again. Common practice. */
const TURNS_UNASKED = 3;

/**
 * It is time to measure. Whoever works on instead is not asked twice running: the next turn of work stands there, and the
 * measuring again after a few.
 * @param moved what the move from the last measuring asked for; nothing where it asked for none
 */
const askedOrOn = (model: ModelAnswer, of: Of, moved: RollsAhead = { along: 0, across: 0 }): ProposedAct => {
  const { since, intensity, perUnit } = model;
  const done = since.directional + since.free;
  const over = Math.max(0, done - (moved.along + moved.across) * intensity) / perUnit;
  const turn = of.shrink.kind === 'roll' ? of.worked.setOfRolls : of.shrink.count;
  const turns = Math.floor(over / turn + 0.25);
  if (turns % TURNS_UNASKED === 0) return { act: 'measure', reason: 'measure-due' };
  if (of.shrink.kind !== 'roll') return usualAct(of.shrink, 'unmeasured');
  const { xx, yy } = since;
  const { face, directionDeg } = {
    face: of.worked.faces[0] ?? 1,
    directionDeg: xx <= yy ? (0 as const) : (90 as const),
  };
  return { act: 'roll', face, directionDeg, rolls: of.worked.setOfRolls, reason: 'unmeasured' };
};

/** The next act as the felting model has it, once the skin holds. */
export const modelAct = (state: BenchState, model: ModelAnswer, of: Of): ProposedAct => {
  const { pieceForecast, since, intensity } = model;
  const { move } = pieceForecast;
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
  if (move.kind === 'measure')
    return worked ? askedOrOn(model, of) : { act: 'measure', reason: 'look-again' };
  if (move.kind !== 'roll') {
    const firm = firmAct(state, of.test, of.way.firms);
    if (firm) return firm;
    // Firm by now, but what firms it shrinks it too: its size is looked at before it is left.
    return worked ? { act: 'measure', reason: 'nearly-there' } : stopAt(move.kind);
  }
  const rest = restOfMove(move.rolls, model);
  if (Math.max(rest.along, rest.across) < FEW_ROLLS || intensity <= 0)
    return askedOrOn(model, of, move.rolls);
  if (of.shrink.kind !== 'roll') return timedAct(rest.along, model, of);
  return rollAct(state, rest, of);
};
