import { issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';

/** A picture that is ready to be kept. */
export interface PreparedPicture {
  readonly bytes: Uint8Array;
  readonly widthPx: number;
  readonly heightPx: number;
}
/** Large as it is looked at, and small as it stands in lists. JPEG both, upright, with nothing in it but the picture. */
export interface PreparedPictures {
  readonly large: PreparedPicture;
  readonly small: PreparedPicture;
}

/** Longest sides, px. */
const LARGE_PX = 2048;
const SMALL_PX = 400;
const QUALITY = 0.85;
/** Larger files are no pictures that a camera takes. */
export const MOST_BYTES = 80_000_000;
/** More pixels than any camera has: what unpacks to more is made to burst. */
export const MOST_PIXELS = 200_000_000;
export const PICTURE_TYPE = 'image/jpeg';

/** Draws a picture anew, no larger than so many px on its long side. */
export const scaled = (bitmap: ImageBitmap | OffscreenCanvas, longestPx: number): OffscreenCanvas => {
  const scale = Math.min(1, longestPx / Math.max(bitmap.width, bitmap.height));
  const [widthPx, heightPx] = [bitmap.width, bitmap.height].map(px => Math.max(1, Math.round(px * scale)));
  const canvas = new OffscreenCanvas(widthPx ?? 1, heightPx ?? 1);
  const context = canvas.getContext('2d', { alpha: false });
  if (!context) throw new Error('No canvas to scale on.');
  // Half the size takes in every point by its neighbours; what is smaller than that needs more, which takes four times as long.
  context.imageSmoothingQuality = scale >= 0.5 ? 'low' : 'high';
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas;
};

const packed = async (canvas: OffscreenCanvas): Promise<PreparedPicture> => {
  const blob = await canvas.convertToBlob({ type: PICTURE_TYPE, quality: QUALITY });
  return { bytes: new Uint8Array(await blob.arrayBuffer()), widthPx: canvas.width, heightPx: canvas.height };
};

/**
 * Makes a picture ready to be kept: turned upright, scaled to 2 048 px on its long side, with a small one of 400 px beside it. It is
 * drawn anew, so that nothing of place, camera or owner is left in it. Fails with PICTURE_UNREADABLE.
 */
export const preparePicture = async (
  bytes: Uint8Array<ArrayBuffer>,
  progress: (done: number, of: number) => void,
): Promise<Result<PreparedPictures>> => {
  const refused = (detail: string) => err(issue('PICTURE_UNREADABLE', '', { detail }));
  if (bytes.length > MOST_BYTES) return refused('It is larger than 80 MB.');
  try {
    progress(0, 3);
    // The orientation that the camera wrote down is followed here, and is not written again.
    const bitmap = await createImageBitmap(new Blob([bytes]), { imageOrientation: 'from-image' });
    if (bitmap.width * bitmap.height > MOST_PIXELS) return refused('It has more pixels than any camera.');
    progress(1, 3);
    const canvas = scaled(bitmap, LARGE_PX);
    bitmap.close();
    const large = await packed(canvas);
    progress(2, 3);
    // From the large one: it is a fifth of the points.
    const small = await packed(scaled(canvas, SMALL_PX));
    return ok({ large, small });
  } catch {
    return refused('The browser knows no picture of that kind.');
  }
};
