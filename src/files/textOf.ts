import { issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';

/** Far above any workshop; guards against opening a film by mistake. */
const LARGEST_BYTES = 200_000_000;

/**
 * Bytes of a file as text. Nothing is guessed: bytes that are no UTF-8 are refused, not replaced.
 * Fails with FILE_TOO_LARGE or FILE_NOT_TEXT.
 */
export const textOf = (bytes: Uint8Array): Result<string> => {
  if (bytes.length > LARGEST_BYTES) return err(issue('FILE_TOO_LARGE', '', { got: `${bytes.length} bytes` }));
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return err(issue('FILE_NOT_TEXT', ''));
  }
};
