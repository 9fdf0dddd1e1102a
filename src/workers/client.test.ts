import { describe, expect, it } from 'vitest';
import type { Answer, Ask } from './protocol';
import { workerClient, type WorkerLike } from './client';

/** A worker that answers as it is told. */
const fakeWorker = (onAsk: (ask: Ask, worker: WorkerLike) => void) => {
  let ended = 0;
  let made = 0;
  const make = (): WorkerLike => {
    made += 1;
    const worker: WorkerLike = {
      postMessage: message => queueMicrotask(() => onAsk(message as Ask, worker)),
      terminate: () => (ended += 1),
      onmessage: null,
      onerror: null,
      onmessageerror: null,
    };
    return worker;
  };
  return { make, counts: () => ({ made, ended }) };
};
const say = (worker: WorkerLike, answer: Answer): void =>
  worker.onmessage?.({ data: answer } as MessageEvent);
const ASK = {
  template: { title: 't', shapes: [], words: [], notes: [], box: { minX: 0, minY: 0, maxX: 1, maxY: 1 } },
  paper: 'a4',
  orientation: 'auto',
} as const;

describe('the worker client', () => {
  it('tells progress and gives the answer', async () => {
    const steps: number[] = [];
    const { make } = fakeWorker((ask, worker) => {
      say(worker, { id: ask.id, type: 'progress', done: 1, of: 2 });
      say(worker, { id: ask.id, type: 'done', answer: new ArrayBuffer(3) });
    });
    const made = await workerClient(make).run('templatePdf', ASK, { onProgress: done => steps.push(done) });
    expect(made.ok && made.value.byteLength).toBe(3);
    expect(steps).toEqual([1]);
  });

  it('answers all who wait when the worker dies, and starts another for the next', async () => {
    let dies = true;
    const { make, counts } = fakeWorker((ask, worker) => {
      if (dies) worker.onerror?.({ message: 'out of memory' } as ErrorEvent);
      else say(worker, { id: ask.id, type: 'done', answer: new ArrayBuffer(1) });
    });
    const client = workerClient(make);
    const both = await Promise.all([client.run('templatePdf', ASK), client.run('templatePdf', ASK)]);
    for (const one of both)
      expect(one).toMatchObject({ ok: false, issues: [{ code: 'WORKER_DIED', detail: 'out of memory' }] });
    dies = false;
    expect((await client.run('templatePdf', ASK)).ok).toBe(true);
    expect(counts()).toEqual({ made: 2, ended: 1 });
  });

  it('passes on an issue that the worker found', async () => {
    const { make } = fakeWorker((ask, worker) =>
      say(worker, { id: ask.id, type: 'failed', issue: { code: 'WORKER_DIED', path: '' } }),
    );
    expect((await workerClient(make).run('templatePdf', ASK)).ok).toBe(false);
  });

  it('a cancel that comes after the answer ends nobody else’s work', async () => {
    const { make, counts } = fakeWorker((ask, worker) => {
      if (ask.id === 1) say(worker, { id: ask.id, type: 'done', answer: new ArrayBuffer(1) });
    });
    const client = workerClient(make);
    const abort = new AbortController();
    expect((await client.run('templatePdf', ASK, { signal: abort.signal })).ok).toBe(true);
    void client.run('templatePdf', ASK);
    abort.abort();
    expect(counts().ended).toBe(0);
  });

  it('ends the worker when it is cancelled', async () => {
    const { make, counts } = fakeWorker(() => undefined);
    const abort = new AbortController();
    const waiting = workerClient(make).run('templatePdf', ASK, { signal: abort.signal });
    abort.abort();
    expect((await waiting).ok).toBe(false);
    expect(counts().ended).toBe(1);
  });
});
