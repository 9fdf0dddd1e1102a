import { issue, type Issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';
import { type JobAnswer, type JobName, type Jobs, SILENT_MS } from './protocol';

/** What the client needs of a worker. */
export interface WorkerLike {
  postMessage: (message: unknown, transfer: Transferable[]) => void;
  terminate: () => void;
  onmessage: ((event: MessageEvent) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
  onmessageerror: ((event: MessageEvent) => void) | null;
}

export interface JobOptions {
  readonly onProgress?: (done: number, of: number) => void;
  readonly signal?: AbortSignal;
  /** What is handed over to the worker and is gone here; nothing when left out. Such a job is not tried again. */
  readonly transfer?: Transferable[];
}

interface PendingCall {
  readonly id: number;
  readonly job: JobName;
  readonly request: Jobs[JobName]['request'];
  readonly options: JobOptions;
  readonly settle: (result: Result<never> | Result<Jobs[JobName]['answer']>) => void;
  /** How often it was begun. */
  tries: number;
}

/** A worker that dies under a job is started again, and the job tried again, so often. */
const MOST_TRIES = 2;

export interface WorkerClient {
  readonly run: <N extends JobName>(
    job: N,
    request: Jobs[N]['request'],
    options?: JobOptions,
  ) => Promise<Result<Jobs[N]['answer']>>;
  /** Ends the worker, and answers all who wait. */
  readonly stop: () => void;
}

/**
 * Asks a worker and waits. Jobs are done one after the other. A worker that dies is started again and its job tried once more; one
 * that is silent for too long is ended; a job that is cancelled ends nobody else's. Every job is answered, with a value or an issue.
 */
export const workerClient = (make: () => WorkerLike): WorkerClient => {
  let worker: WorkerLike | null = null;
  /** Whether the worker has said anything since it was made. */
  let isReady = false;
  let queue: readonly PendingCall[] = [];
  let running: PendingCall | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastId = 0;

  const endWorker = (): void => {
    clearTimeout(timer);
    worker?.terminate();
    worker = null;
    isReady = false;
  };
  const finish = (result: Parameters<PendingCall['settle']>[0]): void => {
    clearTimeout(timer);
    const done = running;
    running = null;
    done?.settle(result);
    next();
  };
  /** The worker is gone: the job is tried again where that may help. */
  const lost = (why: Issue): void => {
    endWorker();
    if (!running) return;
    if (running.tries < MOST_TRIES && running.options.transfer === undefined) {
      queue = [running, ...queue];
      running = null;
      next();
    } else finish(err(why));
  };
  const watch = (): void => {
    clearTimeout(timer);
    const job = running?.job;
    if (job === undefined) return;
    timer = setTimeout(() => {
      endWorker();
      finish(err(issue('WORKER_SLOW', job)));
    }, SILENT_MS[job]);
  };
  const hear = (answer: JobAnswer): void => {
    isReady = true;
    if (answer.type === 'ready' || answer.id !== running?.id) return;
    if (answer.type === 'progress') {
      watch();
      running.options.onProgress?.(answer.done, answer.of);
    } else finish(answer.type === 'done' ? ok(answer.answer) : err(answer.issue));
  };
  const started = (): WorkerLike => {
    if (worker) return worker;
    const made = make();
    const failed = (detail: string): void => {
      if (made === worker) lost(issue(isReady ? 'WORKER_DIED' : 'WORKER_NOT_STARTED', '', { detail }));
    };
    made.onmessage = (event: MessageEvent<JobAnswer>) => {
      if (made === worker) hear(event.data);
    };
    made.onerror = event => failed(event.message);
    made.onmessageerror = () => failed('Its answer could not be read.');
    worker = made;
    return made;
  };
  const next = (): void => {
    if (running) return;
    const [first, ...rest] = queue;
    if (!first) return;
    queue = rest;
    running = first;
    first.tries += 1;
    try {
      const { id, job, request, options } = first;
      started().postMessage({ id, job, request }, options.transfer ?? []);
      watch();
    } catch (error) {
      lost(issue('WORKER_NOT_STARTED', '', { detail: String(error) }));
    }
  };
  const cancel = (waiting: PendingCall): void => {
    const cancelled = err(issue('CANCELLED', waiting.job));
    if (waiting === running) {
      // A long job does not listen: its worker goes, and another does what is still to do.
      endWorker();
      finish(cancelled);
    } else if (queue.includes(waiting)) {
      queue = queue.filter(w => w !== waiting);
      waiting.settle(cancelled);
    }
  };

  return {
    run: <N extends JobName>(job: N, request: Jobs[N]['request'], options: JobOptions = {}) =>
      new Promise<Result<Jobs[N]['answer']>>(resolve => {
        if (options.signal?.aborted) return resolve(err(issue('CANCELLED', job)));
        lastId += 1;
        const waiting: PendingCall = { id: lastId, job, request, options, settle: resolve, tries: 0 };
        const onAbort = (): void => cancel(waiting);
        options.signal?.addEventListener('abort', onAbort, { once: true });
        queue = [...queue, waiting];
        next();
      }),
    stop: () => {
      const all = [...(running ? [running] : []), ...queue];
      endWorker();
      running = null;
      queue = [];
      for (const w of all) w.settle(err(issue('CANCELLED', w.job)));
    },
  };
};
