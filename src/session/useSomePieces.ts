import { useQueries } from '@tanstack/react-query';
import type { Entry } from '../records/entry';
import { type Piece, pieceKind } from '../records/piece';
import { useWorkshop } from './workshop';

/** Some pieces with their whole logs, in the order they are named; those that are still being read, or gone, are left out. */
export const useSomePieces = (
  ids: readonly string[],
): ReadonlyArray<{ readonly piece: Piece; readonly log: readonly Entry[] }> => {
  const { cache } = useWorkshop();
  const pieces = useQueries({ queries: ids.map(id => cache.one(pieceKind, id)) });
  const logs = useQueries({ queries: ids.map(id => cache.entries(id)) });
  return pieces.flatMap(({ data: piece }, i) => {
    const log = logs[i]?.data;
    return piece && log ? [{ piece, log }] : [];
  });
};

/** Some pieces without their logs, in the order they are named; those that are still being read, or gone, are left out. */
export const usePiecesNamed = (ids: readonly string[]): readonly Piece[] => {
  const { cache } = useWorkshop();
  return useQueries({
    queries: ids.map(id => cache.one(pieceKind, id)),
    combine: results => results.flatMap(({ data }) => (data ? [data] : [])),
  });
};
