import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';
import type { BesideRow } from '../core/record/findRows';
import type { RecordRow } from '../core/record/recordRow';
import { handsMinutes } from '../core/diary/handsMinutes';
import { benchLog } from '../core/log/logParts';
import { entriesInForce } from '../core/log/entriesInForce';
import type { Entry } from '../records/entry';
import { valueOf } from './jobError';
import { logsSince } from './logsSince';
import {
  useAllEntries,
  useAllPieces,
  useAllProjects,
  useIsWoolKnown,
  useSwatches,
  useWools,
} from './useRecords';
import { useWorkshop } from './workshop';

const NONE: readonly RecordRow[] = [];

/** Everything that is finished, as rows of the record; worked out in the worker. */
export const useRecordRows = (): { readonly rows: readonly RecordRow[]; readonly isWorking: boolean } => {
  const { workers } = useWorkshop();
  const pieces = useAllPieces();
  const swatches = useSwatches();
  const projects = useAllProjects();
  const isRead = useIsWoolKnown();
  const finished = useMemo(
    () => ({
      pieces: pieces
        .filter(p => p.deletedAt === null && p.result.finishedAt !== null)
        .map(({ id, updatedAt, deletedAt, name, notes, woolId, plan, result }) => ({
          id,
          updatedAt,
          deletedAt,
          name,
          notes,
          woolId,
          plan,
          result,
        })),
      swatches,
      projects,
    }),
    [pieces, swatches, projects],
  );
  const { data, isFetching } = useQuery({
    queryKey: ['record', [...finished.pieces, ...swatches, ...projects].map(r => [r.id, r.updatedAt])],
    queryFn: async () => valueOf(await workers.long.run('recordRows', finished)),
    enabled: isRead,
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    retry: 1,
  });
  return { rows: data ?? NONE, isWorking: isFetching };
};

/** The picture of each piece that was taken last, small, by the id of the piece. */
export const useLastPictures = (): ReadonlyMap<string, string> => {
  const projects = useAllProjects();
  const entries = useDeferredValue(useAllEntries());
  return useMemo(() => {
    const found = new Map<string, string>();
    const seen = entries.filter(e => e.act.kind === 'picture' || e.act.kind === 'undo');
    for (const [pieceId, log] of logsSince(seen, 0)) {
      const last = entriesInForce(log).findLast(e => e.act.kind === 'picture');
      if (last?.act.kind === 'picture') found.set(pieceId, last.act.small);
    }
    for (const { id, picture } of projects) if (picture) found.set(id, picture.small);
    return found;
  }, [entries, projects]);
};

/** Minutes of hands by the log of each, worked out when it is first asked for. */
const handsOf = (logs: ReadonlyMap<string, readonly Entry[]>): BesideRow['hands'] => {
  const known = new Map<string, number>();
  return id => {
    const log = logs.get(id);
    if (!log) return null;
    const minutes = known.get(id) ?? handsMinutes(entriesInForce(benchLog(log)), Date.parse);
    known.set(id, minutes);
    return minutes >= 1 ? minutes : null;
  };
};

/** What stands beside the rows: names of wools, and minutes of hands by the logs. */
export const useBesideRows = (): BesideRow => {
  const wools = useWools();
  const entries = useDeferredValue(useAllEntries());
  const hands = useMemo(() => handsOf(logsSince(entries, 0)), [entries]);
  return useMemo(() => {
    const names = new Map(wools.map(w => [w.id, w.name]));
    return { woolName: id => (id === null ? '' : (names.get(id) ?? '')), hands };
  }, [wools, hands]);
};
