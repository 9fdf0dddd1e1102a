import { useMemo } from 'react';
import type { Entry } from '../records/entry';
import { type Piece, pieceKind } from '../records/piece';
import { useCalmMany } from './useCalmMany';
import { useWorkshop } from './workshop';

const useRead = (ids: readonly string[]): ReadonlyArray<Piece | null | undefined> => {
  const { cache } = useWorkshop();
  return useCalmMany(ids.map(id => cache.one(pieceKind, id)));
};

/** Some pieces without their logs, in the order they are named; those that are still being read, or gone, are left out. */
export const usePiecesNamed = (ids: readonly string[]): readonly Piece[] => {
  const read = useRead(ids);
  return useMemo(() => read.flatMap(piece => piece ?? []), [read]);
};

/** Some pieces with their whole logs, in the order they are named; those that are still being read, or gone, are left out. */
export const useSomePieces = (
  ids: readonly string[],
): ReadonlyArray<{ readonly piece: Piece; readonly log: readonly Entry[] }> => {
  const { cache } = useWorkshop();
  const pieces = useRead(ids);
  const logs = useCalmMany(ids.map(id => cache.entries(id)));
  return useMemo(
    () =>
      pieces.flatMap((piece, i) => {
        const log = logs[i];
        return piece && log ? [{ piece, log }] : [];
      }),
    [pieces, logs],
  );
};
