import { outcome } from '../core/plan/outcome';
import { type Experience, experience } from '../core/wool/experience';
import type { Piece } from '../records/piece';
import { planOf } from '../core/plan/planOf';
import { usePieces } from './useRecords';

/** Shrinkage a finished piece has shown, from its own plan and dry measures. */
const shownBy = (piece: Piece): { along: number | null; across: number | null } => {
  const plan = planOf(piece.plan);
  if (!plan.ok) return { along: null, across: null };
  const { along, across } = outcome(plan.value.form, piece.result, plan.value.laidGramsEach);
  return { along, across };
};

/** What a wool has done, and the finished pieces that say so. */
export interface WoolExperience extends Experience {
  readonly shownBy: ReadonlyArray<{
    readonly name: string;
    readonly along: number | null;
    readonly across: number | null;
  }>;
}

/** What the finished pieces of a wool have shown; null when there are none. `except` leaves one piece out. */
export const useExperience = (woolId: string | null, except?: string): WoolExperience | null => {
  const pieces = usePieces();
  if (woolId === null || !pieces) return null;
  const done = pieces.filter(p => p.woolId === woolId && p.id !== except && p.result.finishedAt !== null);
  const shown = done.map(piece => ({ name: piece.name, ...shownBy(piece) }));
  const known = experience(shown);
  return known && { ...known, shownBy: shown };
};
