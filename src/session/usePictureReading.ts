import { useCallback, useEffect, useRef, useState } from 'react';
import type { Issue } from '../core/issues';
import type { Result } from '../core/result';
import type { JobOptions } from '../workers/client';
import { useNotify } from './notices';
import { type LongJob, useLongJob } from './useLongJob';
import { useWorkshop } from './workshop';

/** A picture that was looked at, and what it says; or why it says nothing. */
export interface ReadPicture<T> {
  /** Where the picture is shown from; it is let go with the panel. */
  readonly url: string;
  readonly file: Blob;
  readonly reading: T | null;
  readonly issues: readonly Issue[];
  /** The program drew it: nothing of it is to be saved. */
  readonly isMadeUp: boolean;
}

/** Looks at pictures, and has the program draw one. */
export interface PictureReading<T, How> {
  readonly seen: ReadPicture<T> | null;
  readonly job: LongJob | null;
  readonly look: (file: Blob, how: How) => void;
  /** The same picture once more, looked at otherwise. */
  readonly again: (how: How) => void;
  /** A picture that the program draws, to try it without a camera; each time another. */
  readonly madeUp: (how: How) => void;
}

/**
 * Looks at pictures in the worker. Nothing of them leaves the device or is kept.
 * @param read what a picture says; the same function from one drawing of the page to the next
 * @param make draws a picture, as PNG; the same
 */
export const usePictureReading = <T, How>(
  read: (bytes: Uint8Array<ArrayBuffer>, how: How, options: JobOptions) => Promise<Result<T>>,
  make: (seed: number, how: How, options: JobOptions) => Promise<ArrayBuffer>,
): PictureReading<T, How> => {
  const { chance } = useWorkshop();
  const { failed } = useNotify();
  const { job, run } = useLongJob(failed);
  const [seen, setSeen] = useState<ReadPicture<T> | null>(null);
  const last = useRef<{ readonly file: Blob; readonly isMadeUp: boolean } | null>(null);
  useEffect(() => () => void (seen && URL.revokeObjectURL(seen.url)), [seen]);
  const show = useCallback(
    async (picture: { readonly file: Blob; readonly isMadeUp: boolean }, how: How, options: JobOptions) => {
      last.current = picture;
      const bytes = new Uint8Array(await picture.file.arrayBuffer());
      const got = await read(bytes, how, options);
      setSeen({
        url: URL.createObjectURL(picture.file),
        file: picture.file,
        reading: got.ok ? got.value : null,
        issues: got.ok ? [] : got.issues,
        isMadeUp: picture.isMadeUp,
      });
    },
    [read],
  );
  const look = useCallback(
    (file: Blob, how: How): void => run(options => show({ file, isMadeUp: false }, how, options)),
    [run, show],
  );
  const again = useCallback(
    (how: How): void => {
      const picture = last.current;
      if (picture) run(options => show(picture, how, options));
    },
    [run, show],
  );
  const madeUp = useCallback(
    (how: How): void =>
      run(async options => {
        const bytes = await make(chance.seed(), how, options);
        await show({ file: new Blob([bytes], { type: 'image/png' }), isMadeUp: true }, how, options);
      }),
    [run, show, make, chance],
  );
  return { seen, job, look, again, madeUp };
};
