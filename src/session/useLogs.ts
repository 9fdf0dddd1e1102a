import { useQueries } from '@tanstack/react-query';
import { benchLog } from '../core/log/logParts';
import type { Entry } from '../records/entry';
import { keys } from './keys';
import { useStore } from './storeContext';

/** The bench logs of several pieces, by the id of the piece. A log that is still being read is empty. */
export const useLogs = (pieceIds: readonly string[]): ReadonlyMap<string, readonly Entry[]> => {
  const store = useStore();
  const results = useQueries({
    queries: pieceIds.map(id => ({
      queryKey: keys.entries(id),
      queryFn: () => store.entries(id),
      staleTime: Infinity,
    })),
  });
  return new Map(pieceIds.map((id, i) => [id, benchLog(results[i]?.data ?? [])]));
};
