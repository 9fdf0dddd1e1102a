import { useMemo } from 'react';
import { gramsWeighed, type PieceTaking } from '../core/log/shelfTakings';
import { gramsLeft } from '../core/wool/shelfLedger';
import { classKind, type FeltClass } from '../records/feltClass';
import type { PieceSummary } from '../records/summary';
import type { Wool } from '../records/wool';
import { useLive } from './useRecords';
import { useAllSummaries } from './useSummaries';

/** A piece taken off the table before it was in the record: its wool lies on the shelf again. */
const isAbandoned = ({ deletedAt, finishedAt }: PieceSummary): boolean =>
  deletedAt !== null && finishedAt === null;

/** Wool that went into the kits of a class, and what came back with those that were not used. */
const classTakings = ({ id, packed, packedAt, packedKits, back }: FeltClass): readonly PieceTaking[] =>
  packedAt === null
    ? []
    : packed.flatMap(({ woolId, grams }) => [
        { woolId, pieceId: id, grams: grams * packedKits, atMs: Date.parse(packedAt) },
        ...(back ? [{ woolId, pieceId: id, grams: -grams * back.kits, atMs: Date.parse(back.at) }] : []),
      ]);

const useTakings = (): readonly PieceTaking[] => {
  const summaries = useAllSummaries();
  const classes = useLive(classKind);
  return useMemo(
    () => [
      ...(summaries ?? [])
        .filter(s => !isAbandoned(s))
        .flatMap(({ id, takings }) => takings.map(t => ({ ...t, pieceId: id }))),
      ...(classes ?? []).flatMap(classTakings),
    ],
    [summaries, classes],
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
