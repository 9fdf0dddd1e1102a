import { fitAdvice } from '../words/fit';
import type { Piece } from '../records/piece';
import { usePiece } from './useRecords';

/** What was to be changed next time, of the piece that this one was made again from; null where nothing was noted, or it is finished. */
export const useLastTime = (piece: Piece): { readonly name: string; readonly notes: string } | null => {
  const before = usePiece(piece.after ?? '');
  if (piece.after === null || !before || piece.result.finishedAt !== null) return null;
  const notes = [fitAdvice(before.result.fit), before.notes.trim()].filter(Boolean).join(' ');
  return notes === '' ? null : { name: before.name, notes };
};
