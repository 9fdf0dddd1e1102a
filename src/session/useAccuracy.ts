import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PieceAccuracy, ReplayedPiece } from '../core/accuracy/accuracyOf';
import { finishedRecords } from '../core/felting/finishedRecords';
import { benchLog } from '../core/log/logParts';
import { entriesInForce } from '../core/log/entriesInForce';
import { breedOf } from '../core/wool/breeds';
import { valueOf } from './jobError';
import { swatchesSay } from './swatchesSay';
import { logsSince } from './logsSince';
import {
  useAllEntries,
  useAllPieces,
  useAreEntriesRead,
  useIsWoolKnown,
  useSwatches,
  useWools,
} from './useRecords';
import { useWorkshop } from './workshop';

/** How right the predictions were: replayed in the worker, from the logs of everything that is finished. */
export const useAccuracy = (): {
  readonly pieces: readonly PieceAccuracy[] | null;
  readonly progress: { readonly done: number; readonly of: number } | null;
  readonly error: Error | null;
  readonly again: () => void;
} => {
  const { workers } = useWorkshop();
  const pieces = useAllPieces();
  const entries = useAllEntries();
  const swatches = useSwatches();
  const wools = useWools();
  const [progress, setProgress] = useState<{ readonly done: number; readonly of: number } | null>(null);
  // What is not read yet would be taken for what is not there.
  const isRead = [useIsWoolKnown(), useAreEntriesRead()].every(Boolean);
  const finished = pieces.filter(
    p => p.deletedAt === null && p.result.finishedAt !== null && p.woolId !== null,
  );
  const breedIdOf = (woolId: string): string =>
    breedOf(wools.find(w => w.id === woolId)?.fibre ?? '')?.id ?? '';
  const { data, error, refetch } = useQuery({
    queryKey: ['accuracy', [...finished, ...swatches].map(r => [r.id, r.updatedAt]), wools.map(w => w.fibre)],
    queryFn: async ({ signal }) => {
      const logs = logsSince(entries, 0);
      const replayed = finished.flatMap((p): ReplayedPiece[] => {
        const log = benchLog(logs.get(p.id) ?? []);
        const [first] = entriesInForce(log);
        const records = finishedRecords(p, log);
        return first && records.length > 0
          ? [
              {
                id: p.id,
                woolId: p.woolId ?? '',
                breedId: breedIdOf(p.woolId ?? ''),
                begunMs: Date.parse(first.at),
                finishedMs: Date.parse(p.result.finishedAt ?? ''),
                records,
              },
            ]
          : [];
      });
      const ask = { pieces: replayed, swatches: swatchesSay(swatches, breedIdOf) };
      const onProgress = (done: number, of: number): void => setProgress({ done, of });
      return valueOf(await workers.long.run('accuracy', ask, { onProgress, signal }));
    },
    enabled: isRead,
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  });
  return { pieces: data ?? null, progress: data ? null : progress, error, again: () => void refetch() };
};
