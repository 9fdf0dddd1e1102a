import { outcome } from '../../core/plan/outcome';
import { planOf } from '../../core/plan/planOf';
import type { Piece } from '../../records/piece';
import { usePieces } from '../../session/useRecords';

/** How firm the maker’s own finished pieces of a wool came out: least and most, g/cm³. Null where none says. */
export const useOwnFirmness = (piece: Piece): readonly [number, number] | null => {
  const found = (usePieces() ?? []).flatMap(p => {
    if (p.id === piece.id || p.woolId !== piece.woolId || p.result.finishedAt === null) return [];
    const plan = planOf(p.plan);
    const firmness = plan.ok ? outcome(plan.value.form, p.result, plan.value.laidGramsEach).density : null;
    return firmness === null ? [] : [firmness];
  });
  return found.length === 0 ? null : [Math.min(...found), Math.max(...found)];
};
