import { useMemo } from 'react';
import { weighings } from '../core/log/logParts';
import { gramsLeft, type ShelfTaking } from '../core/wool/shelfLedger';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { Wool } from '../records/wool';
import { useAllEntries, useAllPieces } from './useRecords';

/** A piece taken off the table before it was in the record: its wool lies on the shelf again. */
const isAbandoned = (piece: Piece): boolean => piece.deletedAt !== null && piece.result.finishedAt === null;

interface PieceTaking extends ShelfTaking {
  readonly pieceId: string;
}

const takingsOf = (entries: readonly Entry[], pieces: readonly Piece[]): readonly PieceTaking[] => {
  const gone = new Set(pieces.filter(isAbandoned).map(p => p.id));
  const logs = new Map<string, Entry[]>();
  for (const e of entries) {
    if (gone.has(e.pieceId)) continue;
    const log = logs.get(e.pieceId);
    if (log) log.push(e);
    else logs.set(e.pieceId, [e]);
  }
  return [...logs].flatMap(([pieceId, log]) =>
    weighings(log).map(({ act, at }) => ({
      woolId: act.woolId,
      pieceId,
      grams: act.grams,
      atMs: Date.parse(at),
    })),
  );
};

const useTakings = (): readonly PieceTaking[] => {
  const entries = useAllEntries();
  const pieces = useAllPieces();
  return useMemo(() => takingsOf(entries, pieces), [entries, pieces]);
};

/** Answers how much of a wool was weighed for a piece, g. */
export const useGramsWeighed = (): ((woolId: string, pieceId: string) => number) => {
  const takings = useTakings();
  return (woolId, pieceId) =>
    takings.reduce((sum, t) => (t.woolId === woolId && t.pieceId === pieceId ? sum + t.grams : sum), 0);
};

/** Answers how much of any wool is left: what was counted, less what was weighed since. */
export const useGramsLeft = (): ((wool: Wool) => number | null) => {
  const takings = useTakings();
  return ({ id, gramsCounted, countedAt }) =>
    gramsLeft({ id, gramsCounted, countedMs: countedAt === null ? 0 : Date.parse(countedAt) }, takings);
};
