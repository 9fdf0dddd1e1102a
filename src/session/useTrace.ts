import { useCallback } from 'react';
import { boundsOf, type Polygon, scalePoints } from '../core/outline/polygon';
import { type ReferenceKind, REFERENCES } from '../core/photo/references';
import type { TraceAsked, TracedOutline } from '../core/photo/tracePhoto';
import type { JobOptions } from '../workers/client';
import { valueOf } from './jobError';
import { type PictureReading, usePictureReading } from './usePictureReading';
import { useWorkshop } from './workshop';

/** What somebody chose and pointed at before a picture is traced. */
export type TraceHow = Omit<TraceAsked, 'focal35'>;

/** An outline as it has room on a sheet, a thumb away from its edge; smaller where it is larger. */
const onSheet = (outline: Polygon, reference: ReferenceKind): Polygon => {
  const box = boundsOf(outline);
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  const { long, short } = REFERENCES[reference];
  const share = Math.min(1, (long - 60) / Math.max(wide, high), (short - 60) / Math.min(wide, high));
  return scalePoints(outline, { x: share, y: share });
};

/** Traces outlines from pictures. @param shown what a made-up picture shows, mm */
export const useTrace = (shown: Polygon): PictureReading<TracedOutline, TraceHow> => {
  const { workers } = useWorkshop();
  const read = useCallback(
    async (bytes: Uint8Array<ArrayBuffer>, asked: TraceHow, options: JobOptions) =>
      valueOf(await workers.long.run('tracePhoto', { bytes, asked }, options)),
    [workers],
  );
  const make = useCallback(
    async (seed: number, { reference, what }: TraceHow, options: JobOptions) => {
      const scene = {
        outline: what === 'drawn' ? onSheet(shown, reference) : shown,
        reference,
        seed,
        isDrawn: what === 'drawn',
        tableColour: [0.3, 0.27, 0.24],
      } as const;
      return valueOf(await workers.long.run('madeUpPhoto', scene, options));
    },
    [workers, shown],
  );
  return usePictureReading(read, make);
};
