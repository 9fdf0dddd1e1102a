import { useMemo } from 'react';
import { gramsWeighed, type PieceTaking, takingsOf } from '../core/log/shelfTakings';
import { gramsLeft } from '../core/wool/shelfLedger';
import { classKind, type FeltClass } from '../records/feltClass';
import type { Piece } from '../records/piece';
import type { Wool } from '../records/wool';
import { useAllEntries, useAllPieces, useLive } from './useRecords';

/** A piece taken off the table before it was in the record: its wool lies on the shelf again. */
const isAbandoned = (piece: Piece): boolean => piece.deletedAt !== null && piece.result.finishedAt === null;

/** Wool that went into the kits of a class, and what came back with those that were not used. */
const classTakings = ({ id, packed, packedAt, packedKits, back }: FeltClass): readonly PieceTaking[] =>
  packedAt === null
    ? []
    : packed.flatMap(({ woolId, grams }) => [
        { woolId, pieceId: id, grams: grams * packedKits, atMs: Date.parse(packedAt) },
        ...(back ? [{ woolId, pieceId: id, grams: -grams * back.kits, atMs: Date.parse(back.at) }] : []),
      ]);

const useTakings = (): readonly PieceTaking[] => {
  const entries = useAllEntries();
  const pieces = useAllPieces();
  const classes = useLive(classKind);
  return useMemo(
    () => [
      ...takingsOf(entries, {
        abandoned: new Set(pieces.filter(isAbandoned).map(p => p.id)),
        msOf: Date.parse,
      }),
      ...(classes ?? []).flatMap(classTakings),
    ],
    [entries, pieces, classes],
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
