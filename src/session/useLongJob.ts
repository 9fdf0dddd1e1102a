import { useCallback, useState } from 'react';
import type { JobOptions } from '../workers/client';
import { DECIDED_PERCENT } from '../workers/decided';

/** A job that takes longer than a blink: how far it is, and what stops it. */
export interface LongJob {
  /** How far it is, per cent; null before that is known. */
  readonly percent: number | null;
  /** Null once it is being done whole: stopping it comes too late. */
  readonly stop: (() => void) | null;
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
      setJob({ percent: null, stop });
      const onProgress = (done: number, of: number): void => {
        const percent = (100 * done) / of;
        setJob({ percent, stop: percent < DECIDED_PERCENT ? stop : null });
      };
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
