import { type Issue, issue } from '../issues';
import type { Pixels } from '../picture/pixels';
import { err, ok, type Result } from '../result';
import { pieceBy, posesIn, seenOf } from './choices';
import { furthest } from './furthest';
import { linesBy } from './linesRead';
import type { PhotoAsked, PhotoReading } from './photoAsked';

/** Two choices that give lengths further apart than this are two answers. */
const TWO_ANSWERS = 0.02;

/**
 * Measures a piece from one picture, by something of a known size that lies beside it. Refuses rather than guesses. Pure.
 * Tried on made-up pictures only. Fails with PHOTO_NO_REFERENCE, PHOTO_FAR, PHOTO_BLURRED, PHOTO_SLANTED, PHOTO_NO_PIECE, PHOTO_CUT, PHOTO_ON_PIECE,
 * PHOTO_UNCLEAR, PHOTO_OTHER_SIZE, PHOTO_AMBIGUOUS, PHOTO_UNSURE.
 * @param progress is told how far it is, 0 to 1
 */
export const measurePhoto = (
  pixels: Pixels,
  asked: PhotoAsked,
  progress: (share: number) => void = () => {},
): Result<PhotoReading> => {
  const seen = seenOf(pixels);
  progress(0.15);
  const { posed, refused } = posesIn(seen, asked);
  progress(0.5);
  const why: Issue[] = [...refused];
  const readings: PhotoReading[] = [];
  for (const [n, found] of posed.entries()) {
    const chosen = pieceBy(seen, found, asked);
    const read = chosen.ok ? linesBy(seen, chosen.value, asked) : chosen;
    if (read.ok) readings.push(read.value);
    else why.push(...read.issues);
    progress(0.5 + (0.5 * (n + 1)) / posed.length);
  }
  const [best, ...others] = readings;
  if (!best) return err(furthest(why));
  const isOther = others.some(other =>
    other.lines.some(l => {
      const own = best.lines.find(b => b.id === l.id);
      return own !== undefined && Math.abs(l.mm / own.mm - 1) > TWO_ANSWERS;
    }),
  );
  return isOther ? err(issue('PHOTO_AMBIGUOUS', '')) : ok(best);
};
