import { useCallback, useDeferredValue, useMemo } from 'react';
import type { Air } from '../core/acts/finishSteps';
import { driedPieces } from '../core/finishing/driedPieces';
import { type OwnDrying, ownDrying } from '../core/finishing/ownDrying';
import { finishingLogs } from './rackOf';
import { useAllEntries, useAllPieces } from './useRecords';

/** How long drying takes at this maker's, in each air, as the logs have it. */
export const useOwnDrying = (): ((air: Air) => OwnDrying) => {
  const pieces = useAllPieces();
  // What was just tapped is shown first; what it teaches may come a moment later.
  const entries = useDeferredValue(useAllEntries());
  const dried = useMemo(() => driedPieces(pieces, finishingLogs(entries), Date.parse), [pieces, entries]);
  return useCallback(air => ownDrying(dried, air), [dried]);
};
