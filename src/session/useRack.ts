import { useDeferredValue, useMemo } from 'react';
import { type RackPlace, rackOf } from './rackOf';
import { useAllEntries, useAllPieces } from './useRecords';

/** Everything that waits now, what is over first first. */
export const useRack = (): readonly RackPlace[] => {
  const pieces = useAllPieces();
  const entries = useDeferredValue(useAllEntries());
  return useMemo(() => rackOf(pieces, entries), [pieces, entries]);
};
