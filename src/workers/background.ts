import { type WorkerClient, workerClient } from './client';

const start = (): Worker => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** Workers of one workshop, each started at its first ask: for long work, for what the bench never waits behind, and for what is made quietly. */
export const backgroundWorkers = (): Readonly<Record<'long' | 'bench' | 'quiet', WorkerClient>> => ({
  long: workerClient(start),
  bench: workerClient(start),
  quiet: workerClient(start),
});
