import type { BenchState } from '../log/benchState';
import type { Advised } from '../felting/advise';
import type { Work } from '../felting/feltingModel';
import type { Rolls } from '../felting/wayAhead';
import type { GaugeStand } from '../forecast/forecast';
import { gaugeAxis } from '../forms/gaugeAxis';
import { firmAct, type FirmTest } from './firmness';
import { leastFace, type Worked } from '../log/leastFace';
import type { Advice } from './advice';

/** What the felting model says of a piece, and how it was asked. */
export interface Modelled {
  readonly advised: Advised;
  /** What one roll counted when it was asked, reference rolls. */
  readonly intensity: number;
  /** Work since the last measuring. */
  readonly since: Work;
  readonly hasDirections: boolean;
  /** How much of what was believed before is from the maker's own work, and how many pieces and swatches said so. */
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
  move: Rolls,
  { since, intensity, hasDirections }: Pick<Modelled, 'since' | 'intensity' | 'hasDirections'>,
): Rolls => {
  const even = since.free / 2;
  const rest = (rolls: number, done: number): number => Math.max(0, rolls - done / intensity);
  return hasDirections
    ? { along: rest(move.along, since.xx + even), across: rest(move.across, since.yy + even) }
    : { along: rest(move.along + move.across, since.free), across: 0 };
};

/** Rolls in tens, ten at least. */
export const tensOfRolls = (rolls: number): number => Math.max(10, Math.round(rolls / 10) * 10);

const stopAt = (kind: 'there' | 'best' | 'limit'): Advice => ({
  act: 'stop',
  reason: kind === 'there' ? 'size-and-firm' : kind === 'best' ? 'as-near-as-it-gets' : 'at-its-limit',
});

/** The next act as the felting model has it, once the skin holds. */
export const modelAct = (
  state: BenchState,
  modelled: Modelled,
  of: { readonly stands: readonly GaugeStand[]; readonly worked: Worked; readonly test: FirmTest },
): Advice => {
  const { advised, since, intensity } = modelled;
  const { move } = advised;
  const { faces, setOfRolls } = of.worked;
  const worked = since.directional + since.free > 0;
  const odd = advised.doubts.find(d => d.interval === advised.measurings - 1 && d.chance > LIKELY);
  const oddOne = odd && of.stands[odd.gauge];
  if (oddOne && !worked && advised.looks < LOOKS)
    return { act: 'measure', reason: 'does-not-fit', about: oddOne };
  const past = advised.pastNow.findIndex(p => p > LIKELY);
  const about = of.stands[past];
  if (about && advised.measurings > 0)
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
  const rest = restOfMove(move.rolls, modelled);
  if (Math.max(rest.along, rest.across) < FEW_ROLLS || intensity <= 0)
    return { act: 'measure', reason: 'measure-due' };
  const directionDeg = rest.along >= rest.across ? 0 : 90;
  const rolls = Math.min(setOfRolls, tensOfRolls(directionDeg === 0 ? rest.along : rest.across));
  const axis = directionDeg === 0 ? 'along' : 'across';
  const own = of.stands.find(s => gaugeAxis(s.gauge.directionDeg) === axis);
  return {
    act: 'roll',
    face: leastFace(state, faces, directionDeg).face,
    directionDeg,
    rolls,
    reason: 'way-to-go',
    ...(own ? { about: own } : {}),
  };
};
