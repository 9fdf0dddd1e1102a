import { z } from 'zod';
import { issue } from '../core/issues';
import type { Pixels } from '../core/picture/pixels';
import { err, ok, type Result } from '../core/result';
import { MOST_BYTES, MOST_PIXELS, scaled } from './preparePicture';

/** What is read of a picture is read at so many pixels on its long side at the most: to see where wool is, and to measure by its edges. */
export const READ_PX = { look: 1280, measure: 2048 } as const;

/** The pixels of a picture, upright; nothing of it is kept. Fails with PICTURE_UNREADABLE. */
export const pixelsOf = async (
  bytes: Uint8Array<ArrayBuffer>,
  longestPx: number,
): Promise<Result<Pixels>> => {
  const refused = (detail: string) => err(issue('PICTURE_UNREADABLE', '', { detail }));
  if (bytes.length > MOST_BYTES) return refused('It is larger than 80 MB.');
  try {
    const bitmap = await createImageBitmap(new Blob([bytes]), { imageOrientation: 'from-image' });
    if (bitmap.width * bitmap.height > MOST_PIXELS) return refused('It has more pixels than any camera.');
    const canvas = scaled(bitmap, longestPx);
    bitmap.close();
    const context = canvas.getContext('2d');
    if (!context) return refused('The browser gives no pixels of it.');
    const { width, height, data } = context.getImageData(0, 0, canvas.width, canvas.height);
    return ok({ width, height, data });
  } catch {
    return refused('The browser knows no picture of that kind.');
  }
};

/** The lens a picture was taken with: its focal length as if the picture were 36 mm long, mm; null where the file does not say. */
export const focalOf = async (bytes: Uint8Array<ArrayBuffer>): Promise<number | null> => {
  try {
    const { default: exifr } = await import('exifr');
    const said: unknown = await exifr.parse(bytes, ['FocalLengthIn35mmFormat']);
    const { FocalLengthIn35mmFormat: mm } = FocalSchema.parse(said);
    return mm;
  } catch {
    return null;
  }
};
/** From the widest to the longest lens there is, mm. */
const FocalSchema = z.object({ FocalLengthIn35mmFormat: z.number().min(8).max(400) });

/** A picture as PNG. */
export const pngOf = async ({ width, height, data }: Pixels): Promise<ArrayBuffer> => {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer();
};
