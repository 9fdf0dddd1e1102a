import { useMemo } from 'react';
import { gramsWeighed, type PieceTaking, takingsOf } from '../core/log/shelfTakings';
import { gramsLeft } from '../core/wool/shelfLedger';
import type { Piece } from '../records/piece';
import type { Wool } from '../records/wool';
import { useAllEntries, useAllPieces } from './useRecords';

/** A piece taken off the table before it was in the record: its wool lies on the shelf again. */
const isAbandoned = (piece: Piece): boolean => piece.deletedAt !== null && piece.result.finishedAt === null;

const useTakings = (): readonly PieceTaking[] => {
  const entries = useAllEntries();
  const pieces = useAllPieces();
  return useMemo(
    () =>
      takingsOf(entries, {
        abandoned: new Set(pieces.filter(isAbandoned).map(p => p.id)),
        msOf: Date.parse,
      }),
    [entries, pieces],
  );
};

/** Answers how much of a wool was weighed for a piece, g. */
export const useGramsWeighed = (): ((woolId: string, pieceId: string) => number) => {
  const takings = useTakings();
  return (woolId, pieceId) => gramsWeighed(takings, { woolId, pieceId });
};

/** Answers how much of any wool is left: what was counted, less what was weighed since. */
export const useGramsLeft = (): ((wool: Wool) => number | null) => {
  const takings = useTakings();
  return ({ id, gramsCounted, countedAt }) =>
    gramsLeft({ id, gramsCounted, countedMs: countedAt === null ? 0 : Date.parse(countedAt) }, takings);
};
