import { gramsAdded } from '../core/log/logParts';
import type { Plan } from '../core/plan/makePlan';
import { laidGrams } from '../core/wool/laidGrams';
import { pieceWools } from '../records/piece';
import type { PieceContext } from './pieceContext';

/** Grams that one of the pieces was laid of: as weighed, else as planned, with what was added at the bench; null while that is open. */
export const laidEach = (
  { piece, weighings, entries }: Pick<PieceContext, 'piece' | 'weighings' | 'entries'>,
  plan: Plan,
): number | null => {
  if (!plan.weigh) return null;
  const { pieces } = piece.plan;
  const of = { ...pieceWools(piece), weighings: weighings.map(e => e.act), pieces };
  return laidGrams(plan.weigh, of) + gramsAdded(entries) / pieces;
};

/** Grams that one of the pieces must weigh when it is dry: what was laid, less what is usually lost; null while that is open. */
export const dryEach = (
  context: Pick<PieceContext, 'piece' | 'weighings' | 'entries'>,
  plan: Plan,
): number | null => {
  const laidG = laidEach(context, plan);
  return laidG === null ? null : laidG * context.piece.plan.keptShare;
};
