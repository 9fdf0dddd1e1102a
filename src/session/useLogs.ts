import { useQueries } from '@tanstack/react-query';
import { benchLog } from '../core/log/logParts';
import type { Entry } from '../records/entry';
import { useWorkshop } from './workshop';

/** The bench logs of several pieces, by the id of the piece. A log that is still being read is empty. */
export const useLogs = (pieceIds: readonly string[]): ReadonlyMap<string, readonly Entry[]> => {
  const { cache } = useWorkshop();
  const results = useQueries({ queries: pieceIds.map(id => cache.entries(id)) });
  return new Map(pieceIds.map((id, i) => [id, benchLog(results[i]?.data ?? [])]));
};
