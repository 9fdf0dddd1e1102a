import { firmnessRange } from '../../core/plan/firmnessRange';
import type { Piece } from '../../records/piece';
import { usePieces } from '../../session/useRecords';

/** How firm the maker’s own finished pieces of a wool came out: least and most, g/cm³. Null where none says. */
export const useOwnFirmness = (piece: Piece): readonly [number, number] | null =>
  firmnessRange(
    (usePieces() ?? []).filter(
      p => p.id !== piece.id && p.woolId === piece.woolId && p.result.finishedAt !== null,
    ),
  );
