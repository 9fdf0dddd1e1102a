import { useCallback } from 'react';
import type { LightReading } from '../core/light/lightCheck';
import type { Polygon } from '../core/outline/polygon';
import type { JobOptions } from '../workers/client';
import { valueOf } from './jobError';
import { type PictureReading, usePictureReading } from './usePictureReading';
import { useWorkshop } from './workshop';

/** Looks at pictures of a piece against the light. @param outline as it lies on the table, mm */
export const useLightCheck = (outline: readonly Polygon[]): PictureReading<LightReading, undefined> => {
  const { workers } = useWorkshop();
  const read = useCallback(
    async (bytes: Uint8Array<ArrayBuffer>, _: undefined, options: JobOptions) =>
      valueOf(await workers.long.run('lightCheck', { bytes, outline }, options)),
    [workers, outline],
  );
  const make = useCallback(
    async (seed: number, _: undefined, options: JobOptions) =>
      valueOf(await workers.long.run('madeUpLight', { outline, seed }, options)),
    [workers, outline],
  );
  return usePictureReading(read, make);
};
