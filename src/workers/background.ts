import { workerClient } from './client';

/** The one worker of this tab. Session state: it is started at the first ask. */
export const background = workerClient(
  () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }),
);
