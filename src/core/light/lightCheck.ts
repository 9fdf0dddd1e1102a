import type { Field } from '../evenness/field';
import { type ThinPlace, thinPlaces } from '../evenness/thinPlaces';
import { issue } from '../issues';
import type { Point, Polygon } from '../outline/polygon';
import { largestBlob, rimOf } from '../picture/blob';
import { layOutlineOn } from '../picture/layOutlineOn';
import { type Light, lightOf, type Pixels } from '../picture/pixels';
import { err, ok, type Result } from '../result';
import { backdropOf } from './backdrop';

/** A thin place of a piece that was held to the light. */
export interface LitPlace {
  /** Its middle, on the outline it was laid onto, mm. */
  readonly at: Point;
  readonly acrossMm: number;
  /** What it has at its thinnest, as a share of what most of the piece has. */
  readonly share: number;
  /** Its middle in the picture, as shares of its width and height. */
  readonly inPicture: Point;
}

/** What a picture against the light says of a piece. */
export interface LightReading {
  readonly places: readonly LitPlace[];
  /** True where the outline fits about as well turned another way: where a place lies on the piece is then not known. */
  readonly isTurnUnknown: boolean;
  readonly isMirrored: boolean;
  /** True where it looks about alike from its back: seen from there, places lie mirrored. */
  readonly isSideUnknown: boolean;
  /** True where its colours differ: each keeps back light in its own way, so that a pale wool looks thin. */
  readonly isMixed: boolean;
  /** The outline as it lies in the picture, as shares of its width and height. */
  readonly outline: readonly Point[];
}

/** Looked at so coarsely: finer shows hairs, not places. */
const LONG_PX = 640;
/** Rounds of fitting the backdrop and finding the piece, with the degree of each. */
const ROUNDS = [1, 2, 3] as const;
/** Less light than this share of the backdrop's comes through the piece. */
const THROUGH = 0.82;
/** A place below so much of the median is listed, and below that is under half. Common practice for the second. */
const LISTED = 0.7;
export const HALF = 0.5;
const RIM_MM = 7;
const LEAST_MM = 11;
const SMOOTH_MM = 4.5;

const median = (values: Float32Array | readonly number[]): number =>
  Float32Array.from(values).toSorted()[Math.floor(values.length / 2)] ?? Number.NaN;

/** The brightness that parts a picture best in two: the least spread within both. Source: Otsu 1979, on the logarithm. */
const parting = (values: Float32Array): number => {
  const bins = new Float64Array(64);
  const [low, high] = [Math.log(0.002), 0];
  for (const v of values) {
    const bin = Math.floor((63 * (Math.log(Math.max(v, 1e-4)) - low)) / (high - low));
    const within = Math.min(63, Math.max(0, bin));
    bins[within] = (bins[within] ?? 0) + 1;
  }
  const total = values.length;
  const whole = bins.reduce((sum, n, i) => sum + n * i, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  bins.forEach((n, i) => {
    below += n;
    sumBelow += n * i;
    const above = total - below;
    if (below === 0 || above === 0) return;
    const between = below * above * (sumBelow / below - (whole - sumBelow) / above) ** 2;
    if (between > best) [best, at] = [between, i];
  });
  return Math.exp(low + ((at + 1) * (high - low)) / 63);
};

/** Mean of the three colours of each pixel. */
const grey = ({ rgb, width, height }: Light): Float32Array =>
  Float32Array.from(
    { length: width * height },
    (_, i) => ((rgb[3 * i] ?? 0) + (rgb[3 * i + 1] ?? 0) + (rgb[3 * i + 2] ?? 0)) / 3,
  );

/** Cells of a mask that are on, or off. */
const cellsOf = (mask: Uint8Array, is: 0 | 1): readonly number[] => {
  const cells: number[] = [];
  for (let cell = 0; cell < mask.length; cell += 1) if (mask[cell] === is) cells.push(cell);
  return cells;
};

/** What was found of a piece: its mask, and the light that would be there without it. */
interface Parted {
  readonly mask: Uint8Array;
  readonly cells: number;
  readonly behind: Float32Array;
}

/** Shares beyond which a picture is not read. Common practice, set on made-up pictures. */
const LIMITS = { bleached: 1 / 3, rimSeen: 0.5, cut: 0.015, small: 0.03, large: 0.85, uneven: 0.14 } as const;
/** A pixel this bright is bleached out: 250 of 255. */
const BLEACHED = 0.955;
/** Through most of the piece comes too little light to tell, or nearly all of it. */
const DARK = 0.0035;
const CLEAR = 0.3;
/** The outline has to agree with what is seen. */
const LEAST_OVERLAP = 0.82;
/** Colours part further than this. */
const MIXED = 0.3;

/** Parts the piece from what is behind it, three times over: the better the one is known, the better the other. */
const parted = (light: Light, bright: Float32Array): Result<Parted> => {
  const size = { width: light.width, height: light.height };
  const rim = rimOf(size);
  let isBehind = (cell: number): boolean => (bright[cell] ?? 0) > start;
  const start = parting(bright);
  let found: Parted | null = null;
  for (const degree of ROUNDS) {
    const behind = backdropOf(light, isBehind, degree);
    if (!behind) return err(issue('LIGHT_NO_BACKDROP', ''));
    const through = grey({ ...light, rgb: light.rgb.map((v, i) => v / Math.max(1e-3, behind[i] ?? 1)) });
    const { mask, cells } = largestBlob(size, cell => (through[cell] ?? 1) < THROUGH);
    found = { mask, cells, behind };
    isBehind = cell => mask[cell] === 0 && (through[cell] ?? 0) > THROUGH;
  }
  if (!found) return err(issue('LIGHT_NO_BACKDROP', ''));
  const { mask, cells, behind } = found;
  const share = cells / mask.length;
  if (share < LIMITS.small) return err(issue('LIGHT_NO_PIECE', ''));
  const touching = rim.filter(cell => mask[cell] === 1).length / rim.length;
  if (share > LIMITS.large || touching > LIMITS.rimSeen) return err(issue('LIGHT_NO_BACKDROP', ''));
  if (touching > LIMITS.cut) return err(issue('LIGHT_CUT', ''));
  const around = cellsOf(mask, 0);
  const bleached = around.filter(cell =>
    [0, 1, 2].some(c => (light.rgb[3 * cell + c] ?? 0) > BLEACHED),
  ).length;
  if (bleached > LIMITS.bleached * around.length) return err(issue('LIGHT_BLEACHED', ''));
  const off = median(
    around.map(cell =>
      Math.abs((light.rgb[3 * cell + 1] ?? 0) / Math.max(1e-3, behind[3 * cell + 1] ?? 1) - 1),
    ),
  );
  return off > LIMITS.uneven ? err(issue('LIGHT_NO_BACKDROP', '')) : ok(found);
};

/** How much each place keeps back, as a share of what most of the piece does, and whether its colours do so alike. */
const keptBack = (
  light: Light,
  { mask, behind }: Parted,
): Result<{ readonly relative: Float32Array; readonly isMixed: boolean }> => {
  const within = cellsOf(mask, 1);
  const colours = [0, 1, 2].map(c => {
    const all = Float32Array.from(within, cell => {
      const i = 3 * cell + c;
      return -Math.log(Math.max(5e-4, light.rgb[i] ?? 0) / Math.max(1e-3, behind[i] ?? 1));
    });
    return { all, usual: median(all), seen: median(within.map(cell => light.rgb[3 * cell + c] ?? 0)) };
  });
  if (Math.max(...colours.map(c => c.seen)) < DARK) return err(issue('LIGHT_DARK', ''));
  if (Math.max(...colours.map(c => c.usual)) < CLEAR) return err(issue('LIGHT_CLEAR', ''));
  // A colour that says nothing here is left out: all of it kept back, or none.
  const telling = colours.filter(c => c.usual > CLEAR / 2 && c.seen > DARK / 2);
  const relative = new Float32Array(mask.length);
  let apart = 0;
  within.forEach((cell, i) => {
    const shares = telling.map(c => (c.all[i] ?? 0) / c.usual);
    relative[cell] = shares.reduce((a, b) => a + b, 0) / shares.length;
    if (Math.max(...shares) - Math.min(...shares) > MIXED) apart += 1;
  });
  return ok({ relative, isMixed: apart > 0.1 * within.length });
};

/**
 * Reads a picture of a piece against a window or a lamp: where it is thin. Only how places compare is told, for what wool of a colour keeps back is not
 * known. It cannot know colours that differ, wet against dry, nor what is folded double. Pure; about half a second for 12 million pixels.
 * Fails with LIGHT_NO_BACKDROP, LIGHT_BLEACHED, LIGHT_NO_PIECE, LIGHT_CUT, LIGHT_DARK, LIGHT_CLEAR, LIGHT_OTHER_PIECE.
 * @param outline of the piece as it was laid, mm; even-odd rings
 */
export const lightCheck = (pixels: Pixels, outline: readonly Polygon[]): Result<LightReading> => {
  const light = lightOf(pixels, LONG_PX);
  const found = parted(light, grey(light));
  if (!found.ok) return found;
  const kept = keptBack(light, found.value);
  if (!kept.ok) return kept;
  const laid = layOutlineOn(outline, found.value, light);
  if (!laid || laid.overlap < LEAST_OVERLAP) return err(issue('LIGHT_OTHER_PIECE', ''));
  const field: Field = {
    cellMm: laid.mmPerPx,
    columns: light.width,
    rows: light.height,
    left: 0,
    top: 0,
    gsm: kept.value.relative,
    inside: found.value.mask,
  };
  const share = (px: Point): Point => ({ x: px.x / light.width, y: px.y / light.height });
  const thin: readonly ThinPlace[] = thinPlaces(field, {
    shouldGsm: 1,
    under: LISTED,
    rimMm: RIM_MM,
    leastMm: LEAST_MM,
    smoothMm: SMOOTH_MM,
  });
  return ok({
    places: thin.map(({ at, acrossMm, share: least }) => {
      const px = { x: at.x / laid.mmPerPx, y: at.y / laid.mmPerPx };
      return { at: laid.toOutline(px), acrossMm, share: least, inPicture: share(px) };
    }),
    isTurnUnknown: laid.isTurnUnknown,
    isMirrored: laid.isMirrored,
    isSideUnknown: laid.isSideUnknown,
    isMixed: kept.value.isMixed,
    outline: (outline[0] ?? []).map(p => share(laid.toPicture(p))),
  });
};
