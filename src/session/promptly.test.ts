import { notifyManager, QueryClient, QueryObserver } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { promptly } from './promptly';

const watched = () => {
  const client = new QueryClient();
  client.setQueryData(['a'], 0);
  const heard: unknown[] = [];
  const observer = new QueryObserver(client, { queryKey: ['a'], enabled: false });
  // As a view listens: by way of the scheduler.
  const stop = observer.subscribe(notifyManager.batchCalls(result => heard.push(result.data)));
  return { client, heard, stop };
};

describe('a change by hand', () => {
  it('is told to the views before the next line runs', () => {
    const { client, heard, stop } = watched();
    promptly(() => client.setQueryData(['a'], 1));
    expect(heard.at(-1)).toBe(1);
    promptly(() => client.setQueryData(['a'], 2));
    expect(heard.at(-1)).toBe(2);
    stop();
  });

  it('leaves what is read to be told together, also after a change that failed', async () => {
    const { client, heard, stop } = watched();
    expect(() =>
      promptly(() => {
        throw new Error('not shown');
      }),
    ).toThrow('not shown');
    client.setQueryData(['a'], 3);
    expect(heard).not.toContain(3);
    await expect.poll(() => heard.at(-1)).toBe(3);
    stop();
  });
});
