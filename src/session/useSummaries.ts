import { useMemo } from 'react';
import type { PieceSummary } from '../records/summary';
import { useCalm } from './useCalm';
import { useWorkshop } from './workshop';

const NONE: readonly PieceSummary[] = [];

/** What is shown of all pieces, deleted ones too; null while it is read. */
export const useAllSummaries = (): readonly PieceSummary[] | null =>
  useCalm(useWorkshop().summaries.all())?.all ?? null;

/** How many are still to be made. */
export const useSummariesToMake = (): number => useCalm(useWorkshop().summaries.all())?.toMake ?? 0;

/** What is shown of the pieces that are not deleted; empty while it is read. */
export const useSummaries = (): readonly PieceSummary[] => {
  const all = useAllSummaries() ?? NONE;
  return useMemo(() => all.filter(s => s.deletedAt === null), [all]);
};
