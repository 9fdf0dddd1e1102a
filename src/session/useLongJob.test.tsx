// @vitest-environment happy-dom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useLongJob } from './useLongJob';

afterEach(cleanup);

describe('a job that takes longer than a blink', () => {
  it('says how far it is, and what is stopped fails nobody', async () => {
    const failures: unknown[] = [];
    const { result } = renderHook(() => useLongJob(error => failures.push(error)));
    expect(result.current.job).toBeNull();
    let tell: ((done: number, of: number) => void) | undefined;
    act(() =>
      result.current.run(
        ({ signal, onProgress }) =>
          new Promise((_, reject) => {
            tell = onProgress;
            signal?.addEventListener('abort', () => reject(new Error('stopped')));
          }),
      ),
    );
    expect(result.current.job?.percent).toBeNull();
    act(() => tell?.(3, 60));
    expect(result.current.job?.percent).toBe(5);
    await act(async () => result.current.job?.stop?.());
    expect(result.current.job).toBeNull();
    expect(failures).toEqual([]);
  });

  it('tells what failed by itself', async () => {
    const failures: unknown[] = [];
    const { result } = renderHook(() => useLongJob(error => failures.push(error)));
    await act(async () => result.current.run(() => Promise.reject(new Error('no room'))));
    expect(failures).toEqual([new Error('no room')]);
    expect(result.current.job).toBeNull();
  });
});
