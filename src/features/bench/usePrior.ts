import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { type PriorEvidence, pooledPrior, type PooledPrior } from '../../core/felting/pooledPrior';
import { finishedRecords } from '../../core/felting/finishedRecords';
import { trainingPiecesOf } from '../../core/felting/trainingPieces';
import { breedOf } from '../../core/wool/breeds';
import { swatchesSay } from '../../session/swatchesSay';
import { valueOf } from '../../session/jobError';
import type { PieceContext } from '../../session/pieceContext';
import { useLogs } from '../../session/useLogs';
import { useAllPieces, useSwatches, useWools } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';

/** What is expected of this piece by what the maker finished before, and how many pieces and swatches said so. */
export const usePrior = (context: PieceContext): PooledPrior & { readonly pieces: number } => {
  const { id: pieceId, woolId } = context.piece;
  const { workers } = useWorkshop();
  const wools = useWools();
  const swatches = useSwatches();
  const pieces = useAllPieces();
  const breedIdOf = useCallback(
    (of: string | null): string => breedOf(wools.find(w => w.id === of)?.fibre ?? '')?.id ?? '',
    [wools],
  );
  // What a tap does not change is not worked out again at every tap.
  const finished = useMemo(
    () => trainingPiecesOf({ id: pieceId, woolId }, pieces, breedIdOf),
    [pieceId, woolId, pieces, breedIdOf],
  );
  const logs = useLogs(finished.map(p => p.id));
  const worked = finished.filter(p => (logs.get(p.id)?.length ?? 0) > 0);
  const { data } = useQuery({
    queryKey: ['learn', worked.map(p => [p.id, p.updatedAt, logs.get(p.id)?.length ?? 0])],
    queryFn: async () => {
      const read = worked.flatMap(p =>
        finishedRecords(p, logs.get(p.id) ?? []).map(record => ({ id: p.id, record })),
      );
      const says = valueOf(await workers.bench.run('learn', { logs: read.map(r => r.record) }));
      return read.map((r, i) => ({ id: r.id, says: says[i] ?? [] }));
    },
    enabled: worked.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
    retry: 1,
  });
  return useMemo(() => {
    const bySwatch = swatchesSay(swatches, breedIdOf).map(s => s.evidence);
    const byPiece = (data ?? []).flatMap(({ id, says }): PriorEvidence[] => {
      const own = finished.find(p => p.id === id);
      return own ? [{ id, woolId: own.woolId ?? '', breedId: breedIdOf(own.woolId), says }] : [];
    });
    const ids = new Set(bySwatch.map(s => s.id));
    const all = [...byPiece, ...bySwatch];
    const asked = { woolId: woolId ?? '', breedId: breedIdOf(woolId) };
    return { ...pooledPrior(all, asked, id => ids.has(id)), pieces: new Set(all.map(e => e.id)).size };
  }, [data, swatches, finished, woolId, breedIdOf]);
};
