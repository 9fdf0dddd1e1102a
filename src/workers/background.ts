import { workerClient } from './client';

const start = (): Worker => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** Long work of this tab: paper, simulations, blends. Session state: it is started at the first ask. */
export const background = workerClient(start);

/** What the bench asks after each act; never behind a long job. */
export const benchWorker = workerClient(start);
