import type { ActChoices } from '../acts/choices';
import type { StepMove } from '../acts/recipeStep';
import type { RollDirection } from '../acts/vocabulary';
import type { GaugeProgress } from '../forecast/forecast';
import { gaugeAxis } from '../forms/gaugeAxis';
import type { Following } from '../recipe/following';
import { AFTER_FELTING } from '../recipe/recipeSteps';
import { SIZE_TOLERANCE } from '../tolerances';
import type { ProposedAct, Reason } from './proposedAct';
import { FEW_ROLLS, type ModelAnswer, restOfMove, tensOfRolls } from './modelAct';

/** What a recipe may put first: work on the felt. Where anything else is advised, the recipe waits for that. */
const WORK: ReadonlySet<ProposedAct['act']> = new Set(['rub', 'roll', 'throw']);
/** Work that mends what is wrong. */
const MENDING: ReadonlySet<Reason> = new Set(['corner-lags', 'thin-to-mend']);

type Rolling = Extract<ProposedAct, { act: 'roll' }>;
/** What is known of the piece. */
interface PieceState {
  readonly model: ModelAnswer | null;
  readonly gaugeProgress: readonly GaugeProgress[];
}

/** An act that a step asks for, as an advice. */
const actAdvice = (kind: string, choices: ActChoices): ProposedAct => {
  const { face = 1, directionDeg = 0, count = 1, cushion, water, what } = choices;
  const reason = 'by-recipe';
  switch (kind) {
    case 'wet':
      return { act: 'wet', face, water: water === 'warm' ? 'warm' : 'hot', reason };
    case 'rub':
      return { act: 'rub', face, count, reason };
    case 'roll':
      return { act: 'roll', face, directionDeg, rolls: count, ...(cushion ? { cushion } : {}), reason };
    case 'throw':
    case 'shock':
      return { act: kind, count, reason };
    case 'open':
      return { act: 'open', what: what === 'cut' ? 'cut' : 'resist-out', reason };
    default:
      return { act: 'other', kind, ...choices, reason };
  }
};

const adviceOf = (move: StepMove, following: Following): ProposedAct | null => {
  switch (move.does) {
    case 'act':
      return actAdvice(move.kind, move.choices);
    case 'panel':
      return { act: move.panel, reason: 'by-recipe' };
    case 'tick':
      return following.next && { act: 'step', step: following.next, reason: 'by-recipe' };
  }
};

/** Whether a line across or along was read at its size or below. */
const isThere = (gaugeProgress: readonly GaugeProgress[], directionDeg: RollDirection): boolean =>
  gaugeProgress.some(
    s =>
      s.measured &&
      gaugeAxis(s.gauge.directionDeg) === (directionDeg === 90 ? 'across' : 'along') &&
      s.nowMm <= s.gauge.wantedMm * (1 + SIZE_TOLERANCE),
  );

/** The recipe's rolls, no further than the model has it this way before the next measuring; null where nothing is left of that. */
const bounded = (
  roll: Rolling,
  proposed: ProposedAct,
  { model, gaugeProgress }: PieceState,
): ProposedAct | null => {
  if (model?.pieceForecast.move.kind === 'roll') {
    const rest = restOfMove(model.pieceForecast.move.rolls, model);
    const most = model.hasDirections && roll.directionDeg === 90 ? rest.across : rest.along;
    return most < FEW_ROLLS ? null : { ...roll, rolls: Math.min(roll.rolls, tensOfRolls(most)) };
  }
  const lags = proposed.act === 'roll' && proposed.reason === 'direction-lags' ? proposed.directionDeg : null;
  if (lags !== null && lags !== roll.directionDeg) return null;
  return isThere(gaugeProgress, roll.directionDeg) ? null : roll;
};

const standsFor = (move: StepMove, following: Following, proposed: ProposedAct): boolean => {
  if (MENDING.has(proposed.reason)) return false;
  const asked = move.does === 'act' ? move.kind : move.does === 'panel' ? move.panel : 'tick';
  if (asked === proposed.act) return true;
  // What is to be seen to first: a dry face, a skin that does not hold, a size that may be reached.
  if (proposed.reason === 'no-skin-yet') return asked === 'wet' || asked === 'shock';
  if (proposed.reason === 'size-reached-soft') return false;
  if (move.does === 'tick' && following.next && AFTER_FELTING.has(following.next.act)) return false;
  return WORK.has(proposed.act);
};

/**
 * The next act where a recipe is followed: its step, as far as what is known of the piece does not speak against it. A dry
 * face, a skin that does not hold, a measuring that is due and a size that is reached come first; and its rolls go no further
 * than the model risks. What the advice alone would have been is kept beside it.
 */
export const recipeAct = (
  proposed: ProposedAct,
  following: Following | null,
  pieceState: PieceState,
): ProposedAct => {
  const [move] = following?.left ?? [];
  if (!following || !move || !standsFor(move, following, proposed)) return proposed;
  // Of a round of rolling, the first way that may still be rolled; where none may, the round waits.
  for (const one of following.left) {
    const own = adviceOf(one, following);
    const bound = own?.act === 'roll' ? bounded(own, proposed, pieceState) : own;
    if (bound) return { ...bound, alone: proposed };
  }
  return proposed;
};
