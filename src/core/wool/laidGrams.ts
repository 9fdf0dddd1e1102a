import type { WeighPlan } from './weigh';
import { type PieceWools, pileList } from './pileList';
import type { Weighing } from './weighState';

/**
 * Grams laid for one of the pieces: each pile as it was weighed last, and as it was planned where it was not weighed.
 * @param pieces how many are planned alike, ≥ 1
 */
export const laidGrams = (
  weigh: WeighPlan,
  of: PieceWools & { readonly weighings: readonly Weighing[]; readonly pieces: number },
): number => {
  const piles = pileList(weigh, of);
  const last = new Map(of.weighings.map(w => [w.pile, w.grams]));
  const grams = piles.reduce((sum, p) => sum + (last.get(p.id) ?? p.grams), 0);
  const listed = piles.at(-1)?.piece ?? 1;
  return (grams / listed) * (weigh.times / of.pieces);
};
