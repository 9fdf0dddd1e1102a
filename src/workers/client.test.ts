import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { workerClient, type WorkerLike } from './client';
import { type JobAnswer, type JobRequest, SILENT_MS } from './protocol';

/** A worker that answers as it is told. */
const fakeWorker = (onAsk: (request: JobRequest, worker: WorkerLike, made: number) => void) => {
  const asked: number[] = [];
  let ended = 0;
  let made = 0;
  const make = (): WorkerLike => {
    made += 1;
    const number = made;
    const worker: WorkerLike = {
      postMessage: message => {
        const request = message as JobRequest;
        asked.push(request.id);
        queueMicrotask(() => onAsk(request, worker, number));
      },
      terminate: () => (ended += 1),
      onmessage: null,
      onerror: null,
      onmessageerror: null,
    };
    return worker;
  };
  return { make, asked, counts: () => ({ made, ended }) };
};
const say = (worker: WorkerLike, answer: JobAnswer): void =>
  worker.onmessage?.({ data: answer } as MessageEvent);
const die = (worker: WorkerLike, message = 'out of memory'): void =>
  worker.onerror?.({ message } as ErrorEvent);
const done = (request: JobRequest, worker: WorkerLike): void =>
  say(worker, { id: request.id, type: 'done', answer: new ArrayBuffer(request.id) });
const ASK = {
  template: { title: 't', shapes: [], words: [], notes: [], box: { minX: 0, minY: 0, maxX: 1, maxY: 1 } },
  paper: 'a4',
  orientation: 'auto',
} as const;

describe('the worker client', () => {
  it('tells progress and gives the answer', async () => {
    const steps: number[] = [];
    const { make } = fakeWorker((request, worker) => {
      say(worker, { id: request.id, type: 'progress', done: 1, of: 2 });
      done(request, worker);
    });
    const made = await workerClient(make).run('templatePdf', ASK, { onProgress: n => steps.push(n) });
    expect(made.ok && made.value.byteLength).toBe(1);
    expect(steps).toEqual([1]);
  });

  it('starts a worker that died again, and tries its job once more', async () => {
    const { make, counts } = fakeWorker((request, worker, made) => {
      if (made === 1) die(worker);
      else done(request, worker);
    });
    const client = workerClient(make);
    const both = await Promise.all([client.run('templatePdf', ASK), client.run('templatePdf', ASK)]);
    expect(both.map(b => b.ok)).toEqual([true, true]);
    expect(counts()).toEqual({ made: 2, ended: 1 });
  });

  it('answers a job under which it dies twice, and goes on with the next', async () => {
    const { make } = fakeWorker((request, worker) => {
      say(worker, { id: 0, type: 'ready' });
      if (request.id === 1) die(worker);
      else done(request, worker);
    });
    const client = workerClient(make);
    const [first, second] = await Promise.all([
      client.run('templatePdf', ASK),
      client.run('templatePdf', ASK),
    ]);
    expect(first).toMatchObject({ ok: false, issues: [{ code: 'WORKER_DIED', detail: 'out of memory' }] });
    expect(second.ok).toBe(true);
  });

  it('says when it cannot be started at all', async () => {
    const silent = fakeWorker((_, worker) => die(worker, 'not found'));
    expect(await workerClient(silent.make).run('templatePdf', ASK)).toMatchObject({
      issues: [{ code: 'WORKER_NOT_STARTED', detail: 'not found' }],
    });
    const forbidden = workerClient(() => {
      throw new Error('forbidden');
    });
    expect(await forbidden.run('templatePdf', ASK)).toMatchObject({
      issues: [{ code: 'WORKER_NOT_STARTED' }],
    });
  });

  it('does not try a job again whose bytes it has handed over', async () => {
    const { make, asked } = fakeWorker((_, worker) => die(worker));
    const bytes = new ArrayBuffer(4);
    const got = await workerClient(make).run('templatePdf', ASK, { transfer: [bytes] });
    expect(got.ok).toBe(false);
    expect(asked).toHaveLength(1);
  });

  it('passes on an issue that the worker found, and does not take that for a death', async () => {
    const { make, counts } = fakeWorker((request, worker) =>
      say(worker, { id: request.id, type: 'failed', issue: { code: 'WORK_FAILED', path: 'templatePdf' } }),
    );
    expect(await workerClient(make).run('templatePdf', ASK)).toMatchObject({
      issues: [{ code: 'WORK_FAILED' }],
    });
    expect(counts()).toEqual({ made: 1, ended: 0 });
  });

  it('ends only the job that is cancelled: the others are done', async () => {
    const { make, counts } = fakeWorker((request, worker) => {
      if (request.id !== 1) done(request, worker);
    });
    const client = workerClient(make);
    const [running, waiting] = [new AbortController(), new AbortController()];
    const first = client.run('templatePdf', ASK, { signal: running.signal });
    const second = client.run('templatePdf', ASK, { signal: waiting.signal });
    const third = client.run('templatePdf', ASK);
    waiting.abort();
    expect(await second).toMatchObject({ issues: [{ code: 'CANCELLED' }] });
    expect(counts().ended).toBe(0);
    running.abort();
    expect(await first).toMatchObject({ issues: [{ code: 'CANCELLED' }] });
    expect((await third).ok).toBe(true);
    expect(counts()).toEqual({ made: 2, ended: 1 });
  });

  it('starts nothing for what is cancelled already', async () => {
    const { make, counts } = fakeWorker(done);
    const got = await workerClient(make).run('templatePdf', ASK, { signal: AbortSignal.abort() });
    expect(got).toMatchObject({ issues: [{ code: 'CANCELLED' }] });
    expect(counts().made).toBe(0);
  });

  it('a cancel that comes after the answer ends nobody else’s work', async () => {
    const { make, counts } = fakeWorker((request, worker) => {
      if (request.id === 1) done(request, worker);
    });
    const client = workerClient(make);
    const abort = new AbortController();
    expect((await client.run('templatePdf', ASK, { signal: abort.signal })).ok).toBe(true);
    void client.run('templatePdf', ASK);
    abort.abort();
    expect(counts().ended).toBe(0);
  });

  it('hears nothing any more from a worker that was ended', async () => {
    let first: WorkerLike | null = null;
    const { make } = fakeWorker((request, worker, made) => {
      if (made === 1) first = worker;
      else queueMicrotask(() => done(request, worker));
    });
    const client = workerClient(make);
    const abort = new AbortController();
    const cancelled = client.run('templatePdf', ASK, { signal: abort.signal });
    await Promise.resolve();
    abort.abort();
    await cancelled;
    const next = client.run('templatePdf', ASK);
    const ghost: WorkerLike | null = first;
    if (ghost) {
      die(ghost);
      say(ghost, { id: 2, type: 'done', answer: new ArrayBuffer(99) });
    }
    const got = await next;
    expect(got.ok && got.value.byteLength).toBe(2);
  });

  it('answers all who wait when it is stopped', async () => {
    const { make } = fakeWorker(() => undefined);
    const client = workerClient(make);
    const both = [client.run('templatePdf', ASK), client.run('templatePdf', ASK)];
    client.stop();
    for (const one of await Promise.all(both)) expect(one).toMatchObject({ issues: [{ code: 'CANCELLED' }] });
  });
});

describe('a worker that says nothing', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it('is ended when its job has been silent for too long, and the next job has another', async () => {
    const { make, counts } = fakeWorker((request, worker, made) => {
      if (made > 1) done(request, worker);
    });
    const client = workerClient(make);
    const stalled = client.run('templatePdf', ASK);
    const next = client.run('templatePdf', ASK);
    await vi.advanceTimersByTimeAsync(SILENT_MS.templatePdf + 1);
    expect(await stalled).toMatchObject({ issues: [{ code: 'WORKER_SLOW' }] });
    expect((await next).ok).toBe(true);
    expect(counts()).toEqual({ made: 2, ended: 1 });
  });

  it('is not ended while it tells progress', async () => {
    const { make, counts } = fakeWorker((request, worker) => {
      let n = 0;
      const timer = setInterval(() => {
        n += 1;
        if (n < 10) return say(worker, { id: request.id, type: 'progress', done: n, of: 10 });
        clearInterval(timer);
        done(request, worker);
      }, SILENT_MS.templatePdf / 2);
    });
    const long = workerClient(make).run('templatePdf', ASK);
    await vi.advanceTimersByTimeAsync(SILENT_MS.templatePdf * 6);
    expect((await long).ok).toBe(true);
    expect(counts().ended).toBe(0);
  });
});
