import type { ActChoices } from '../acts/choices';
import type { StepMove } from '../acts/recipeStep';
import type { RollDirection } from '../acts/vocabulary';
import type { GaugeProgress } from '../forecast/forecast';
import { gaugeAxis } from '../forms/gaugeAxis';
import type { Following } from '../recipe/following';
import { AFTER_FELTING } from '../recipe/recipeSteps';
import { SIZE_TOLERANCE } from '../tolerances';
import type { ProposedAct, Reason } from './proposedAct';
import { FEW_ROLLS, type ModelAnswer, restOfMove } from './modelAct';

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

/**
 * Whether a round of the recipe passes a way over: one that was measured at its size, or of which the model, which has measurings to
 * go by, has nothing left; without it, one that is ahead of another. The sets that it does roll are its own, whole.
 */
const isPassedOver = (
  roll: Rolling,
  proposed: ProposedAct,
  { model, gaugeProgress }: PieceState,
): boolean => {
  if (model && model.pieceForecast.measurings > 0 && model.pieceForecast.move.kind === 'roll') {
    const rest = restOfMove(model.pieceForecast.move.rolls, model);
    return (model.hasDirections && roll.directionDeg === 90 ? rest.across : rest.along) < FEW_ROLLS;
  }
  if (!model && proposed.act === 'roll' && proposed.reason === 'direction-lags')
    return proposed.directionDeg !== roll.directionDeg;
  return isThere(gaugeProgress, roll.directionDeg);
};

/** A look at its size that is due: a recipe measures where it says so. */
const LOOKS: ReadonlySet<ProposedAct['act']> = new Set(['measure', 'compare']);

const standsFor = (move: StepMove, following: Following, proposed: ProposedAct): boolean => {
  if (MENDING.has(proposed.reason)) return false;
  const asked = move.does === 'act' ? move.kind : move.does === 'panel' ? move.panel : 'tick';
  if (asked === proposed.act) return true;
  // What is to be seen to first: a dry face, a skin that does not hold, a size that may be reached.
  if (proposed.reason === 'no-skin-yet') return asked === 'wet' || asked === 'shock';
  if (LOOKS.has(proposed.act)) return proposed.reason !== 'does-not-fit';
  if (proposed.reason === 'size-reached-soft') return false;
  if (following.next && AFTER_FELTING.has(following.next.act)) return false;
  return WORK.has(proposed.act);
};

/**
 * The next act where a recipe is followed: its step, in its own sets and order, as far as what is known of the piece does not speak
 * against it. A dry face, a skin that does not hold and a size that is reached come first; a measuring that is due does not: the risk
 * is told beside it. What the advice alone would have been is kept.
 */
export const recipeAct = (
  proposed: ProposedAct,
  following: Following | null,
  pieceState: PieceState,
): ProposedAct => {
  const [move] = following?.left ?? [];
  if (!following || !move || !standsFor(move, following, proposed)) return proposed;
  // Of a round of rolling, the first way that is not there yet; where all are, the round waits.
  for (const one of following.left) {
    const own = adviceOf(one, following);
    if (own && !(own.act === 'roll' && isPassedOver(own, proposed, pieceState)))
      return { ...own, alone: proposed };
  }
  return proposed;
};
