import type { QueryClient } from '@tanstack/react-query';
import { pieceKind } from '../records/piece';
import type { PieceSummary, RawPiece } from '../records/summary';
import type { Store, StoreChange } from '../store/store';
import type { WorkerClient } from '../workers/client';

/** Summaries of all pieces, deleted ones too, in no order; and how many are still to be made. */
export interface Summaries {
  readonly all: readonly PieceSummary[];
  readonly toMake: number;
}

const KEY = ['summaries'] as const;
/** So many are made at once: a moment's work, after which those are shown. */
const AT_ONCE = 20;
/** Changes that come one upon the other are taken together. */
const TOGETHER_MS = 50;

/** Makes summaries in the worker; where none can be started, here. */
const made = async (worker: WorkerClient, raws: readonly RawPiece[]): Promise<readonly PieceSummary[]> => {
  const answer = await worker.run('summaries', { pieces: raws }).catch(() => null);
  if (answer?.ok) return answer.value;
  const { summaryOf } = await import('../workers/summaryOf');
  return raws.map(summaryOf);
};

/**
 * What is shown of pieces where many are. Kept by the store; those that are not kept are made in the worker, a few at a time, and kept
 * then. A piece that changes is made anew a moment later.
 */
export const makeSummaries = (of: {
  readonly client: QueryClient;
  readonly store: Store;
  readonly worker: WorkerClient;
}) => {
  const { client, store, worker } = of;
  const waiting = new Set<string>();
  let isMaking = false;
  /** Counts changes of many things at once: what was begun before one says nothing any more. */
  let epoch = 0;

  const put = (fresh: readonly PieceSummary[], gone: readonly string[], toMake: number): void => {
    const ids = new Set([...fresh.map(s => s.id), ...gone]);
    client.setQueryData<Summaries>(KEY, had => ({
      all: [...(had?.all ?? []).filter(s => !ids.has(s.id)), ...fresh],
      toMake,
    }));
  };

  const makeSome = async (ids: readonly string[]): Promise<void> => {
    const began = epoch;
    const raws = await store.rawPieces(ids);
    const fresh = await made(worker, raws);
    if (began !== epoch) return;
    const there = new Set(fresh.map(s => s.id));
    put(
      fresh,
      ids.filter(id => !there.has(id)),
      waiting.size,
    );
    // What there is no room for is made anew the next time.
    await store.keepSummaries(fresh).catch(() => undefined);
  };
  const makeWaiting = async (): Promise<void> => {
    if (isMaking) return;
    isMaking = true;
    try {
      while (waiting.size > 0) {
        const ids = [...waiting].slice(0, AT_ONCE);
        for (const id of ids) waiting.delete(id);
        await makeSome(ids);
      }
    } finally {
      isMaking = false;
    }
  };
  /** What could not be made or kept now is asked for again by the next change, or the next time the table is opened. */
  const begin = (): void => void makeWaiting().catch(() => undefined);

  let isSoon = false;
  const soon = (id: string): void => {
    waiting.add(id);
    if (isSoon) return;
    isSoon = true;
    setTimeout(() => {
      isSoon = false;
      begin();
    }, TOGETHER_MS);
  };

  /** What changed while all were being read: what was read of it may be of before. */
  const heard = new Set<string>();

  const all = {
    queryKey: KEY,
    queryFn: async (): Promise<Summaries> => {
      heard.clear();
      const { kept, missing } = await store.summaries();
      const raws = missing.length > 0 && missing.length <= AT_ONCE ? await store.rawPieces(missing) : [];
      const fresh = raws.length > 0 ? await made(worker, raws) : [];
      if (fresh.length > 0) void store.keepSummaries(fresh).catch(() => undefined);
      for (const id of fresh.length > 0 ? heard : [...missing, ...heard]) waiting.add(id);
      if (waiting.size > 0) setTimeout(begin);
      return { all: [...kept, ...fresh], toMake: fresh.length > 0 ? 0 : missing.length };
    },
    staleTime: Infinity,
    gcTime: Infinity,
  };
  return {
    all: (): typeof all => all,
    hear: ({ table, record, entry }: StoreChange): void => {
      if (table === 'all') epoch += 1;
      if (client.getQueryState(KEY) === undefined) return;
      const id = record && table === pieceKind.table ? record.id : entry?.pieceId;
      if (id === undefined) return;
      heard.add(id);
      // What waits is looked for by the clock: that something does is known at once.
      if (entry?.act.kind === 'finish')
        client.setQueryData<Summaries>(KEY, had =>
          had
            ? { ...had, all: had.all.map(s => (s.id === id ? { ...s, isFinishing: true } : s)) }
            : undefined,
        );
      soon(id);
    },
  };
};

export type SummariesCache = ReturnType<typeof makeSummaries>;
