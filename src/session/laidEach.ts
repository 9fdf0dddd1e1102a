import { gramsAdded } from '../core/log/logParts';
import type { Plan } from '../core/plan/makePlan';
import { laidGrams } from '../core/wool/laidGrams';
import { pieceWools } from '../records/piece';
import type { PieceContext } from './pieceContext';

/** Grams that one of the pieces was laid of before anything was added at the bench: as weighed, else as planned; null while that is open. */
export const laidAtFirst = (
  { piece, weighings }: Pick<PieceContext, 'piece' | 'weighings'>,
  plan: Plan,
): number | null => {
  if (!plan.weigh) return null;
  const of = { ...pieceWools(piece), weighings: weighings.map(e => e.act), pieces: piece.plan.pieces };
  return laidGrams(plan.weigh, of);
};

/** Grams that one of the pieces was laid of: as weighed, else as planned, with what was added at the bench; null while that is open. */
export const laidEach = (
  context: Pick<PieceContext, 'piece' | 'weighings' | 'entries'>,
  plan: Plan,
  atFirstG = laidAtFirst(context, plan),
): number | null =>
  atFirstG === null ? null : atFirstG + gramsAdded(context.entries) / context.piece.plan.pieces;

/** Grams that one of the pieces must weigh when it is dry: what was laid, less what is usually lost; null while that is open. */
export const dryEach = (
  context: Pick<PieceContext, 'piece' | 'weighings' | 'entries'>,
  plan: Plan,
  atFirstG = laidAtFirst(context, plan),
): number | null => {
  const laidG = laidEach(context, plan, atFirstG);
  return laidG === null ? null : laidG * context.piece.plan.keptShare;
};
