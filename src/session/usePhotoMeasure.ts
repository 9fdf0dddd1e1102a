import { useCallback, useEffect } from 'react';
import type { PhotoAsked, PhotoReading } from '../core/photo/photoAsked';
import type { PhotoScene } from '../core/photo/sceneTable';
import type { JobOptions } from '../workers/client';
import { valueOf } from './jobError';
import { type PictureReading, usePictureReading } from './usePictureReading';
import { useWorkshop } from './workshop';

/** What somebody chose and pointed at before a picture is measured. */
export type PhotoHow = Pick<PhotoAsked, 'reference' | 'piece' | 'card'>;

/**
 * Measures a piece by pictures.
 * @param asked what is looked for, but for what lies beside it  @param now the piece as it is believed to be now, mm: what a made-up picture shows
 */
export const usePhotoMeasure = (
  asked: Omit<PhotoAsked, keyof PhotoHow>,
  now: PhotoScene['outline'],
): PictureReading<PhotoReading, PhotoHow> => {
  const { workers } = useWorkshop();
  // While the card is laid beside the piece.
  useEffect(() => void workers.long.run('readyPhoto', null), [workers]);
  const read = useCallback(
    async (bytes: Uint8Array<ArrayBuffer>, how: PhotoHow, options: JobOptions) =>
      valueOf(await workers.long.run('measurePhoto', { bytes, asked: { ...asked, ...how } }, options)),
    [workers, asked],
  );
  const make = useCallback(
    async (seed: number, { reference }: PhotoHow, options: JobOptions) =>
      valueOf(await workers.long.run('madeUpPhoto', { outline: now, reference, seed }, options)),
    [workers, now],
  );
  return usePictureReading(read, make);
};
