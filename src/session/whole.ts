import type { Store } from '../store/store';
import type { JobOptions, WorkerClient } from '../workers/client';
import { DECIDED_PERCENT } from '../workers/decided';
import type { OpenAsk, OpenOutcome, SaveAsk, Saved, TurnedBack } from '../workers/wholeWork';
import { valueOf } from './jobError';

/** What is done with a workshop as a whole: each reads or writes all of it, and none does so where the hand works. */
export interface Whole {
  readonly save: (ask: SaveAsk, options?: JobOptions) => Promise<Saved>;
  readonly open: (ask: OpenAsk, options?: JobOptions) => Promise<OpenOutcome>;
  readonly takeBack: (of: { readonly back: Uint8Array; readonly at: string }) => Promise<TurnedBack>;
}

/** In the worker, over the browser's own database. Each rejects with a `JobError`. */
export const wholeInWorker = (worker: WorkerClient, database: string): Whole => ({
  save: async (ask, options) => valueOf(valueOf(await worker.run('saveWhole', { database, ask }, options))),
  open: async (ask, options) => valueOf(valueOf(await worker.run('openWhole', { database, ask }, options))),
  takeBack: async ask => valueOf(valueOf(await worker.run('takeBackWhole', { database, ask }))),
});

const percentOf =
  (options: JobOptions = {}) =>
  (percent: number): void => {
    if (percent < DECIDED_PERCENT) options.signal?.throwIfAborted();
    options.onProgress?.(percent, 100);
  };

/** Here, over a store that lives in this page only. */
export const wholeHere = (store: Store): Whole => ({
  save: async (ask, options) =>
    valueOf(await (await import('../workers/wholeWork')).saveWhole(store, ask, percentOf(options))),
  open: async (ask, options) =>
    (await import('../workers/wholeWork')).openWhole(store, ask, percentOf(options)),
  takeBack: async of => (await import('../workers/wholeWork')).takeBackWhole(store, of),
});
