import { useMemo } from 'react';
import { type PriorEvidence, pooledPrior, type PooledPrior } from '../core/felting/pooledPrior';
import { finishedRecords } from '../core/felting/finishedRecords';
import { trainingPiecesOf } from '../core/felting/trainingPieces';
import { benchLog } from '../core/log/logParts';
import { breedOf } from '../core/wool/breeds';
import { swatchesSay } from './swatchesSay';
import { valueOf } from './jobError';
import type { Piece } from '../records/piece';
import { useCalmAnswer } from './useCalm';
import { useSomePieces } from './useSomePieces';
import { useAllSummaries, useSummaries } from './useSummaries';
import { useSwatches, useWools } from './useRecords';
import { useWorkshop } from './workshop';

/** What is expected of a piece by what its maker finished before. */
interface Expected extends PooledPrior {
  /** How many pieces and swatches said so. */
  readonly pieces: number;
  /** True once all of them have answered. */
  readonly isWhole: boolean;
  /** Ids of the pieces that are asked. */
  readonly asked: readonly string[];
}

/** What is expected of this piece by what the maker finished before, and who said so. */
export const usePrior = (context: { readonly piece: Pick<Piece, 'id' | 'woolId'> }): Expected => {
  const { id: pieceId, woolId } = context.piece;
  const { workers } = useWorkshop();
  const wools = useWools();
  const swatches = useSwatches();
  const pieces = useSummaries();
  const breedIdOf = useMemo(() => {
    const breeds = new Map(wools.map(w => [w.id, breedOf(w.fibre)?.id ?? '']));
    return (of: string | null): string => breeds.get(of ?? '') ?? '';
  }, [wools]);
  // What a tap does not change is not worked out again at every tap.
  const finished = useMemo(
    () => trainingPiecesOf({ id: pieceId, woolId }, pieces, breedIdOf),
    [pieceId, woolId, pieces, breedIdOf],
  );
  const read = useSomePieces(finished.map(p => p.id));
  const worked = useMemo(
    () => read.map(({ piece, log }) => ({ piece, log: benchLog(log) })).filter(({ log }) => log.length > 0),
    [read],
  );
  const answer = useCalmAnswer({
    queryKey: ['learn', worked.map(({ piece, log }) => [piece.id, piece.updatedAt, log.length])],
    queryFn: async () => {
      const records = worked.flatMap(({ piece, log }) =>
        finishedRecords(piece, log).map(record => ({ id: piece.id, record })),
      );
      const says = valueOf(await workers.bench.run('learn', { logs: records.map(r => r.record) }));
      return records.map((r, i) => ({ id: r.id, says: says[i] ?? [] }));
    },
    enabled: worked.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
    retry: 1,
  });
  const data = answer?.data;
  const isError = Boolean(answer?.error);
  const isRead = useAllSummaries() !== null && read.length === finished.length;
  const isWhole = isRead && (worked.length === 0 || answer?.isFetching === false || isError);
  return useMemo(() => {
    const bySwatch = swatchesSay(swatches, breedIdOf).map(s => s.evidence);
    const byPiece = (data ?? []).flatMap(({ id, says }): PriorEvidence[] => {
      const own = finished.find(p => p.id === id);
      return own ? [{ id, woolId: own.woolId ?? '', breedId: breedIdOf(own.woolId), says }] : [];
    });
    const ids = new Set(bySwatch.map(s => s.id));
    const all = [...byPiece, ...bySwatch];
    const asked = { woolId: woolId ?? '', breedId: breedIdOf(woolId) };
    return {
      ...pooledPrior(all, asked, id => ids.has(id)),
      pieces: new Set(all.map(e => e.id)).size,
      asked: finished.map(p => p.id),
      isWhole,
    };
  }, [data, swatches, finished, woolId, breedIdOf, isWhole]);
};
