import { type WorkerClient, workerClient } from './client';

const start = (): Worker => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** Workers of one workshop, each started at its first ask: one for long work, and one that the bench never waits behind. */
export const backgroundWorkers = (): { readonly long: WorkerClient; readonly bench: WorkerClient } => ({
  long: workerClient(start),
  bench: workerClient(start),
});
