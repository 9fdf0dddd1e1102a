import { useCallback, useEffect, useState } from 'react';
import type { Issue } from '../core/issues';
import type { LightReading } from '../core/light/lightCheck';
import type { Polygon } from '../core/outline/polygon';
import type { JobOptions } from '../workers/client';
import { valueOf } from './jobError';
import { useNotify } from './notices';
import { type LongJob, useLongJob } from './useLongJob';
import { useWorkshop } from './workshop';

/** A picture that was looked at, and what it says; or why it says nothing. */
export interface LitPicture {
  /** Where the picture is shown from; it is let go with the panel. */
  readonly url: string;
  readonly reading: LightReading | null;
  readonly issues: readonly Issue[];
  /** The program drew it: nothing of it is to be saved. */
  readonly isMadeUp: boolean;
}

/** Looks at pictures of a piece against the light, in the worker. Nothing of them leaves the device or is kept. @param outline as it lies on the table, mm */
export const useLightCheck = (
  outline: readonly Polygon[],
): {
  readonly seen: LitPicture | null;
  readonly job: LongJob | null;
  readonly look: (file: Blob) => void;
  /** A picture that the program draws, to try it without a camera; each time another. */
  readonly madeUp: () => void;
} => {
  const { workers, chance } = useWorkshop();
  const { failed } = useNotify();
  const { job, run } = useLongJob(failed);
  const [seen, setSeen] = useState<LitPicture | null>(null);
  useEffect(() => () => void (seen && URL.revokeObjectURL(seen.url)), [seen]);
  const read = useCallback(
    async (file: Blob, isMadeUp: boolean, options: JobOptions): Promise<void> => {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const got = valueOf(await workers.long.run('lightCheck', { bytes, outline }, options));
      setSeen({
        url: URL.createObjectURL(file),
        reading: got.ok ? got.value : null,
        issues: got.ok ? [] : got.issues,
        isMadeUp,
      });
    },
    [workers, outline],
  );
  const look = useCallback((file: Blob): void => run(options => read(file, false, options)), [run, read]);
  const madeUp = useCallback(
    (): void =>
      run(async options => {
        const ask = { outline, seed: chance.seed() };
        const bytes = valueOf(await workers.long.run('madeUpLight', ask, options));
        await read(new Blob([bytes], { type: 'image/png' }), true, options);
      }),
    [run, read, workers, outline, chance],
  );
  return { seen, job, look, madeUp };
};
