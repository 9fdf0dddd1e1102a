import { issue, type Issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';
import type { Answer, JobName, Jobs } from './protocol';

/** What the client needs of a worker. */
export interface WorkerLike {
  postMessage: (message: unknown) => void;
  terminate: () => void;
  onmessage: ((event: MessageEvent) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
  onmessageerror: ((event: MessageEvent) => void) | null;
}

interface Waiting {
  readonly settle: (result: Result<never> | Result<Jobs[JobName]['answer']>) => void;
  readonly onProgress: ((done: number, of: number) => void) | undefined;
}

export interface JobOptions {
  readonly onProgress?: (done: number, of: number) => void;
  readonly signal?: AbortSignal;
}

/**
 * Asks a worker and waits. A worker that dies answers all who wait with WORKER_DIED and is replaced at the next ask.
 * Cancelling ends the worker, since a long job does not listen.
 */
export const workerClient = (make: () => WorkerLike) => {
  const waiting = new Map<number, Waiting>();
  let worker: WorkerLike | null = null;
  let lastId = 0;

  const end = (why: Issue): void => {
    worker?.terminate();
    worker = null;
    for (const w of waiting.values()) w.settle(err(why));
    waiting.clear();
  };
  const hear = (event: MessageEvent<Answer>): void => {
    const answer = event.data;
    const w = waiting.get(answer.id);
    if (!w) return;
    if (answer.type === 'progress') return w.onProgress?.(answer.done, answer.of);
    waiting.delete(answer.id);
    w.settle(answer.type === 'done' ? ok(answer.answer) : err(answer.issue));
  };
  const running = (): WorkerLike => {
    if (worker) return worker;
    worker = make();
    worker.onmessage = hear;
    worker.onerror = event => end(issue('WORKER_DIED', '', { detail: event.message }));
    worker.onmessageerror = () => end(issue('WORKER_DIED', '', { detail: 'Its answer could not be read.' }));
    return worker;
  };

  return {
    run: <N extends JobName>(
      job: N,
      ask: Jobs[N]['ask'],
      options: JobOptions = {},
    ): Promise<Result<Jobs[N]['answer']>> =>
      new Promise(resolve => {
        lastId += 1;
        const id = lastId;
        waiting.set(id, { settle: resolve, onProgress: options.onProgress });
        // A job that was answered cannot be cancelled any more: others may be at work by then.
        const cancel = (): void => {
          if (waiting.has(id)) end(issue('WORKER_DIED', '', { detail: 'Cancelled.' }));
        };
        options.signal?.addEventListener('abort', cancel, { once: true });
        running().postMessage({ id, job, ask });
      }),
    stop: () => end(issue('WORKER_DIED', '', { detail: 'Stopped.' })),
  };
};
