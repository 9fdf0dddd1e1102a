import { useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';
import type { PlannedWork } from '../core/schedule/planWork';
import type { PromiseReadiness } from '../core/schedule/readinessOf';
import { classKind } from '../records/feltClass';
import { orderKind } from '../records/order';
import { pieceKind } from '../records/piece';
import { productKind } from '../records/product';
import { projectKind } from '../records/project';
import { stockEntryKind } from '../records/stockEntry';
import { workplaceKind } from '../records/workplace';
import { valueOf } from './jobError';
import { logsSince } from './logsSince';
import { classTimes, hoursOf, openWorkOf, tableWork, type WorkshopBook } from './openWork';
import { useCalmAnswer } from './useCalm';
import { useNow } from './useNow';
import { useAllEntries, useAllPieces, useAllProjects, useAreEntriesRead, useLive } from './useRecords';
import { useStock } from './useStock';
import { useWorkplace } from './useWorkplace';
import { pacedPieces } from './worksOf';
import { useWorkshop } from './workshop';

/** The day moves on by itself: the plan is laid anew so often. */
const MINUTE_MS = 60_000;
const MOVES_ON_MS = 5 * MINUTE_MS;
const NONE: readonly never[] = [];

/** Everything that is promised and on the table, as far as it is read. */
export const useBook = (): WorkshopBook => {
  const pieces = useAllPieces();
  const projects = useAllProjects();
  const entries = useDeferredValue(useAllEntries());
  const products = useLive(productKind) ?? NONE;
  const orders = useLive(orderKind) ?? NONE;
  const classes = useLive(classKind) ?? NONE;
  const { states: stock } = useStock();
  const workplace = useWorkplace();
  // Whole minutes: that is what the schedule counts in.
  const nowMs = Math.floor(useNow(MOVES_ON_MS) / MINUTE_MS) * MINUTE_MS;
  const logs = useMemo(() => logsSince(entries, 0), [entries]);
  return useMemo(
    () => ({ pieces, projects, products, orders, stock, classes, workplace, logs, nowMs }),
    [pieces, projects, products, orders, stock, classes, workplace, logs, nowMs],
  );
};

/** Whether all of it has been read: what is not read yet would be taken for what is not there. */
const useIsBookRead = (): boolean => {
  const read = [
    useLive(productKind),
    useLive(orderKind),
    useLive(classKind),
    useLive(stockEntryKind),
    useLive(workplaceKind),
    useLive(projectKind),
    useLive(pieceKind),
  ];
  return [useAreEntriesRead(), ...read.map(list => list !== null)].every(Boolean);
};

/** Open work and what each promised line asks for. */
export const useOpenWork = () => {
  const book = useBook();
  const { pieces, projects, logs, classes, nowMs } = book;
  const { hours, daysOff } = book.workplace;
  // A letter of an order's name changes no hours, and no piece of the table.
  const table = useMemo(() => tableWork({ pieces, projects, logs, nowMs }), [pieces, projects, logs, nowMs]);
  const paced = useMemo(() => pacedPieces({ pieces, logs, nowMs }), [pieces, logs, nowMs]);
  const held = useMemo(() => classTimes({ pieces, logs, classes, nowMs }), [pieces, logs, classes, nowMs]);
  const open = useMemo(
    () => hoursOf({ workplace: { hours, daysOff }, classTimes: held, nowMs }),
    [hours, daysOff, held, nowMs],
  );
  const work = useMemo(() => openWorkOf(book, { table, paced, hours: open }), [book, table, paced, open]);
  return { book, ...work };
};

/** When a promise is likely to be ready, with the moment from which its minutes count. */
export type SureBy = PromiseReadiness & { readonly nowMs: number };

/** Work laid in, with the moment from which its minutes count, ms since 1970. */
type Laid = PlannedWork & { readonly nowMs: number };

/** The work of a workshop laid into its hours, and how likely each promise is to be ready; worked out in the worker. */
export const useSchedule = (): ReturnType<typeof useOpenWork> & {
  readonly planned: Laid | null;
  readonly ready: readonly SureBy[] | null;
  readonly error: Error | null;
  readonly again: () => void;
  /** Where a task begins by the latest answer, whether it has been drawn yet or not, ms since 1970; null for what has no place. Not to be called while drawing. */
  readonly beginsMs: (task: string) => number | null;
} => {
  const { workers } = useWorkshop();
  const client = useQueryClient();
  const work = useOpenWork();
  const { open } = work;
  const { nowMs } = work.book;
  // Told apart by its words, once for each: it is long.
  const asked = useMemo(() => JSON.stringify(open), [open]);
  const isRead = useIsBookRead();
  const laid = useCalmAnswer<Laid>({
    queryKey: ['schedule', asked],
    // It takes less than to start a worker anew: what was asked before is not cancelled, only passed over.
    queryFn: async () => ({
      ...valueOf(await workers.long.run('schedule', { open })),
      nowMs,
    }),
    enabled: isRead,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
    retry: 1,
  });
  const planned = laid?.data ?? null;
  const sure = useCalmAnswer({
    queryKey: ['readiness', asked],
    queryFn: async () => {
      const ask = { open, rank: planned?.rank ?? [] };
      return valueOf(await workers.long.run('readiness', ask)).map(r => ({ ...r, nowMs }));
    },
    enabled: planned !== null && !laid?.isFetching && open.promises.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
    retry: 1,
  });
  return {
    ...work,
    planned,
    ready: open.promises.length === 0 ? NONE : (sure?.data ?? null),
    error: laid?.error ?? sure?.error ?? null,
    again: () => void laid?.refetch().then(() => sure?.refetch()),
    beginsMs: task => {
      const latest = client.getQueryData<Laid>(['schedule', asked]) ?? planned;
      const from = latest?.placed.find(p => p.id === task)?.spans[0]?.start;
      return latest && from !== undefined ? latest.nowMs + from * MINUTE_MS : null;
    },
  };
};
