import { QueryClient } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import type { Store } from '../store/store';
import type { WorkerClient } from '../workers/client';
import { type Cache, makeCache } from './cache';
import { type Chance } from './chance';
import { type Clock, isoTime } from './clock';
import { type History, makeHistory } from './history';
import { type Journal, makeJournal } from './journal';
import { type Learner, makeLearner } from './learner';
import { makeOutbox, type Outbox } from './outbox';
import type { Notes } from './notes';
import { makeSummaries, type SummariesCache } from './summaries';
import { type Whole, wholeHere, wholeInWorker } from './whole';
import { makeUnsaved, type UnsavedCount } from './unsaved';

/**
 * All that a workshop has while it is open. It is a value: two of them can live in one page, each with its own store, clock and
 * chance, and nothing of one is in the other.
 */
export interface Workshop {
  readonly store: Store;
  /** Whether what is typed lives beyond the page. */
  readonly isKept: boolean;
  readonly clock: Clock;
  readonly chance: Chance;
  /** Now, as it is stored. */
  readonly nowIso: () => string;
  readonly client: QueryClient;
  readonly cache: Cache;
  readonly summaries: SummariesCache;
  readonly history: History;
  readonly journal: Journal;
  readonly outbox: Outbox;
  readonly learner: Learner;
  /** What is half typed or half counted, kept beyond the tab where the browser does. */
  readonly notes: Notes;
  readonly workers: Workers;
  /** The workshop out to a file, and files in. */
  readonly whole: Whole;
  /** What is in this browser only, since the last file. */
  readonly unsaved: UnsavedCount;
  /** Ends what it has under way. */
  readonly close: () => void;
}

export interface Workers {
  /** Long work: paper, simulations, blends, files. */
  readonly long: WorkerClient;
  /** What the bench asks after each act; never behind a long job. */
  readonly bench: WorkerClient;
  /** What is made quietly beside the work: summaries of pieces. */
  readonly quiet: WorkerClient;
}

/** Puts a workshop together. @param tab name of this tab, for its notes  @param database where its store is the browser's own, that one's name */
export const makeWorkshop = (of: {
  readonly store: Store;
  readonly clock: Clock;
  readonly chance: Chance;
  readonly notes: Notes;
  readonly workers: Workers;
  readonly tab: string;
  readonly isKept: boolean;
  readonly database?: string;
}): Workshop => {
  const { store, clock, chance, notes, workers } = of;
  const client = new QueryClient({
    defaultOptions: { queries: { networkMode: 'always', retry: false, refetchOnWindowFocus: false } },
  });
  const cache = makeCache(client, store);
  const journal = makeJournal(notes, of.tab, clock.nowMs);
  const summaries = makeSummaries({ client, store, worker: workers.quiet });
  const leaves = [store.subscribe(cache.hear), store.subscribe(summaries.hear)];
  const unsaved = makeUnsaved({ store, notes, clock });
  return {
    store,
    isKept: of.isKept,
    clock,
    chance,
    nowIso: () => isoTime(clock.nowMs()),
    client,
    cache,
    summaries,
    history: makeHistory(),
    journal,
    outbox: makeOutbox({ store, journal, clock }),
    learner: makeLearner(),
    notes,
    workers,
    whole: of.database === undefined ? wholeHere(store) : wholeInWorker(workers.long, of.database),
    unsaved,
    close: () => {
      for (const leave of leaves) leave();
      unsaved.close();
      client.clear();
      workers.long.stop();
      workers.bench.stop();
      workers.quiet.stop();
      store.close();
    },
  };
};

export const WorkshopContext = createContext<Workshop | null>(null);

/** The workshop that is open here. */
export const useWorkshop = (): Workshop => {
  const workshop = useContext(WorkshopContext);
  if (!workshop) throw new Error('No workshop is open here.');
  return workshop;
};
