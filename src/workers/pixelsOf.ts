import { issue } from '../core/issues';
import type { Pixels } from '../core/picture/pixels';
import { err, ok, type Result } from '../core/result';
import { MOST_BYTES, MOST_PIXELS, scaled } from './preparePicture';

/** What is read of a picture is read at so many pixels on its long side at the most. */
const READ_PX = 1280;

/** The pixels of a picture, upright; nothing of it is kept. Fails with PICTURE_UNREADABLE. */
export const pixelsOf = async (bytes: Uint8Array<ArrayBuffer>): Promise<Result<Pixels>> => {
  const refused = (detail: string) => err(issue('PICTURE_UNREADABLE', '', { detail }));
  if (bytes.length > MOST_BYTES) return refused('It is larger than 80 MB.');
  try {
    const bitmap = await createImageBitmap(new Blob([bytes]), { imageOrientation: 'from-image' });
    if (bitmap.width * bitmap.height > MOST_PIXELS) return refused('It has more pixels than any camera.');
    const canvas = scaled(bitmap, READ_PX);
    bitmap.close();
    const context = canvas.getContext('2d');
    if (!context) return refused('The browser gives no pixels of it.');
    const { width, height, data } = context.getImageData(0, 0, canvas.width, canvas.height);
    return ok({ width, height, data });
  } catch {
    return refused('The browser knows no picture of that kind.');
  }
};

/** A picture as PNG. */
export const pngOf = async ({ width, height, data }: Pixels): Promise<ArrayBuffer> => {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer();
};
