import { useCallback, useState } from 'react';
import type { JobOptions } from '../workers/client';

/** A job that takes longer than a blink: how far it is, and what stops it. */
export interface LongJob {
  /** How far it is: pictures of how many; null before that is known. */
  readonly progress: { readonly done: number; readonly of: number } | null;
  readonly stop: () => void;
}

/** Runs one long job at a time; gives what it is while it runs. One that was stopped fails nobody. */
export const useLongJob = (
  failed: (error: unknown) => void,
): { readonly job: LongJob | null; readonly run: (work: (job: JobOptions) => Promise<void>) => void } => {
  const [job, setJob] = useState<LongJob | null>(null);
  const run = useCallback(
    (work: (job: JobOptions) => Promise<void>): void => {
      const stopping = new AbortController();
      const stop = (): void => stopping.abort();
      setJob({ progress: null, stop });
      const onProgress = (done: number, of: number): void => setJob({ progress: { done, of }, stop });
      work({ signal: stopping.signal, onProgress })
        .catch((error: unknown) => {
          if (!stopping.signal.aborted) failed(error);
        })
        .finally(() => setJob(null));
    },
    [failed],
  );
  return { job, run };
};
