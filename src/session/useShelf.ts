import { useMemo } from 'react';
import { weighings } from '../core/cycles/logParts';
import { gramsLeft, type Taking } from '../core/wool/shelfLedger';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { Wool } from '../records/wool';
import { useAllEntries, useAllPieces } from './useRecords';

/** A piece taken off the table before it was in the record: its wool lies on the shelf again. */
const isAbandoned = (piece: Piece): boolean => piece.deletedAt !== null && piece.result.finishedAt === null;

const takingsOf = (entries: readonly Entry[], pieces: readonly Piece[]): readonly Taking[] => {
  const gone = new Set(pieces.filter(isAbandoned).map(p => p.id));
  const logs = new Map<string, Entry[]>();
  for (const e of entries) {
    if (gone.has(e.pieceId)) continue;
    const log = logs.get(e.pieceId);
    if (log) log.push(e);
    else logs.set(e.pieceId, [e]);
  }
  return [...logs.values()].flatMap(log =>
    weighings(log).map(e => ({ woolId: e.act.woolId, grams: e.act.grams, atMs: Date.parse(e.at) })),
  );
};

/** Answers how much of any wool is left: what was counted, less what was weighed since. */
export const useGramsLeft = (): ((wool: Wool) => number | null) => {
  const entries = useAllEntries();
  const pieces = useAllPieces();
  const takings = useMemo(() => takingsOf(entries, pieces), [entries, pieces]);
  return ({ id, gramsCounted, countedAt }) =>
    gramsLeft({ id, gramsCounted, countedMs: countedAt === null ? 0 : Date.parse(countedAt) }, takings);
};
