import type { Pixels } from '../../picture/pixels';
import { photoOf } from '../scene';
import { BAD, type BadPicture, LYING, type PhotoTried, sceneWith, triedScene } from './photos';

/** Something that may be wrong with a picture; a reason that does not name it is no lie, but helps less. */
interface Wrong extends BadPicture {
  /** Done to the picture. */
  readonly turned?: (pixels: Pixels) => Pixels;
  /** Another piece is looked for than lies there. */
  readonly isOther?: boolean;
}

/** A picture seen in a mirror. */
const mirrored = ({ width, height, data }: Pixels): Pixels => {
  const out = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      out.set(data.subarray(4 * (y * width + x), 4 * (y * width + x) + 4), 4 * (y * width + width - 1 - x));
  return { width, height, data: out };
};

/** All that `docs/model-notes.md` names: what lets a picture say nothing, and what may be borne. */
export const WRONGS: readonly Wrong[] = [
  ...BAD,
  { name: 'other flat things beside it', more: { decoys: 4 }, by: ['PHOTO_AMBIGUOUS'] },
  { name: 'glare over a corner', more: { card: 'glare' }, by: ['PHOTO_NO_REFERENCE'] },
  { name: 'another piece', more: {}, by: ['PHOTO_OTHER_SIZE'], isOther: true },
  { name: 'in a mirror', more: {}, by: [], turned: mirrored },
];

/** What came of the pictures with one thing wrong. */
export interface WrongFigures {
  readonly name: string;
  readonly scenes: number;
  /** Refused for what is wrong with it. */
  readonly named: number;
  /** Refused for something else. */
  readonly otherwise: number;
  /** Measured all the same, every line within what is said or 2 %. */
  readonly right: number;
  /** Measured, and wrong. */
  readonly wrong: number;
  /** What was said, and how often. */
  readonly said: ReadonlyMap<string, number>;
}

const WRONG_SHARE = 0.02;
const isRight = ({ lines }: PhotoTried): boolean =>
  lines.every(l => Math.abs(l.off) <= Math.max(l.within, WRONG_SHARE));

/** Tries pictures with one thing wrong each. @param seed of the first; the others follow */
export const wrongFigures = (
  { name, more, by, turned, isOther }: Wrong,
  of: { readonly seed: number; readonly scenes: number; readonly longPx: number },
): WrongFigures => {
  const all = Array.from({ length: of.scenes }, (_, i) => {
    const made = sceneWith(of.seed + i, of.longPx, () => more);
    // A form of another kind.
    const other = LYING[(of.seed + i + Math.floor(LYING.length / 2)) % LYING.length];
    const asked =
      isOther && other ? { ...made.asked, outline: other.outline, lines: other.lines } : made.asked;
    const pixels = photoOf(made.scene).pixels;
    return triedScene({ ...made, asked }, turned ? turned(pixels) : pixels);
  });
  const said = new Map<string, number>();
  for (const t of all) said.set(t.refused ?? 'measured', (said.get(t.refused ?? 'measured') ?? 0) + 1);
  const [refused, measured] = [all.filter(t => t.refused !== null), all.filter(t => t.refused === null)];
  const named = refused.filter(t => by.some(code => code === t.refused)).length;
  const right = measured.filter(t => !isOther && isRight(t)).length;
  return {
    name,
    scenes: all.length,
    named,
    otherwise: refused.length - named,
    right,
    wrong: measured.length - right,
    said,
  };
};
