import { useCallback, useMemo } from 'react';
import type { Air } from '../core/acts/finishSteps';
import { type OwnDrying, ownDrying } from '../core/finishing/ownDrying';
import { driedIn } from './finishing';
import { useSummaries } from './useSummaries';

/** How long drying takes at this maker's, in each air, as the logs have it. */
export const useOwnDrying = (): ((air: Air) => OwnDrying) => {
  const summaries = useSummaries();
  const dried = useMemo(() => driedIn(summaries), [summaries]);
  return useCallback(air => ownDrying(dried, air), [dried]);
};
