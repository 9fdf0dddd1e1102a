import jsQR from 'jsqr';
import { issue } from '../core/issues';
import { err, type Result } from '../core/result';
import { readRecipeText } from '../files/recipeText';
import type { RecipeCard } from '../records/recipeCard';

/** Sizes at which a code is looked for, px on the long side: a fine code wants many points, a blurred one few. */
const SIDES = [1600, 2400, 1000] as const;

/**
 * Reads a recipe from a picture of its card. Fails with PICTURE_UNREADABLE, CODE_NOT_FOUND and what a recipe fails with.
 */
export const readCode = async (bytes: Uint8Array<ArrayBuffer>): Promise<Result<RecipeCard>> => {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(new Blob([bytes]), { imageOrientation: 'from-image' });
  } catch {
    return err(issue('PICTURE_UNREADABLE', ''));
  }
  for (const side of SIDES) {
    const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) break;
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    const found = jsQR(data, canvas.width, canvas.height);
    if (found) return readRecipeText(found.data);
  }
  return err(issue('CODE_NOT_FOUND', ''));
};
