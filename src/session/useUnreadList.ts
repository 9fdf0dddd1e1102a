import { useQuery } from '@tanstack/react-query';
import type { Unread } from '../records/snapshot';
import { useAllSummaries } from './useSummaries';
import { useWorkshop } from './workshop';

const NONE: readonly Unread[] = [];

/** Records that cannot be read. */
export const useUnreadList = (): readonly Unread[] => {
  const { cache } = useWorkshop();
  const isSuspected = (useAllSummaries() ?? []).some(s => s.unread !== 'nothing');
  return useQuery(cache.unread(isSuspected)).data ?? NONE;
};
