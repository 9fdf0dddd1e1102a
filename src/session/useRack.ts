import { driedIn, finishingIds } from './finishing';
import { type RackPlace, rackOf } from './rackOf';
import { useSomePieces } from './useSomePieces';
import { useSummaries } from './useSummaries';

/** Everything that waits now, what is over first first. */
export const useRack = (): readonly RackPlace[] => {
  const summaries = useSummaries();
  const finishing = useSomePieces(finishingIds(summaries));
  return rackOf(finishing, driedIn(summaries));
};
