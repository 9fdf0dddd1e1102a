import type { Piece } from '../../records/piece';
import { useSummaries } from '../../session/useSummaries';

/** How firm the maker’s own finished pieces of a wool came out: least and most, g/cm³. Null where none says. */
export const useOwnFirmness = (piece: Piece): readonly [number, number] | null => {
  const found = useSummaries().flatMap(({ id, woolId, density }) =>
    id !== piece.id && woolId === piece.woolId && density !== null ? [density] : [],
  );
  return found.length === 0 ? null : [Math.min(...found), Math.max(...found)];
};
