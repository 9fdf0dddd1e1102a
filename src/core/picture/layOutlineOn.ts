import { insideOf } from '../evenness/layOut';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';
import type { Blob } from './blob';

/** An outline laid onto what was found in a picture. */
export interface LaidOn {
  /** From the picture onto the outline's own frame, mm. */
  readonly toOutline: (px: Point) => Point;
  /** The way back: onto the picture, px. */
  readonly toPicture: (mm: Point) => Point;
  readonly mmPerPx: number;
  /** How well they agree: what both cover as a share of what either covers. */
  readonly overlap: number;
  /** True where it fits about as well turned another way: then nobody can tell from its outline which way it lies. */
  readonly isTurnUnknown: boolean;
  /** True where it is seen from its back. */
  readonly isMirrored: boolean;
  /** True where it looks about alike from its back: then nobody can tell which side is seen. */
  readonly isSideUnknown: boolean;
  /** How it is turned. */
  readonly turned: Turned;
  /** Other turns that fit about as well, each well apart from the others, the best of each first. */
  readonly alike: readonly Turned[];
}

/** A turn, and whether it is seen from its back. */
export interface Turned {
  readonly deg: number;
  readonly isMirrored: boolean;
}

/** The outline is compared on a grid of about so many cells along its long side. */
const GRID = 48;
const COARSE_DEG = 5;
const FINE_DEG = 1;
/** Another turn fits alike where it overlaps this much less at the most. */
const ALIKE = 0.02;
/** Turns nearer than this are one and the same. */
const APART_DEG = 30;

interface Moments {
  readonly area: number;
  readonly at: Point;
}
/** Area and middle of the cells of a mask. */
const momentsOf = (
  mask: Uint8Array,
  width: number,
  toPoint: (column: number, row: number) => Point,
): Moments => {
  let [n, x, y] = [0, 0, 0];
  mask.forEach((on, cell) => {
    if (on !== 1) return;
    const p = toPoint((cell % width) + 0.5, Math.floor(cell / width) + 0.5);
    n += 1;
    x += p.x;
    y += p.y;
  });
  return { area: n, at: { x: x / n, y: y / n } };
};

interface Tried {
  readonly turned: Turned;
  readonly overlap: number;
}
/** Cosine and sine of a turn, and −1 where it is seen from its back. */
const factorsOf = ({ deg, isMirrored }: Turned) => {
  const angle = (deg * Math.PI) / 180;
  return { cos: Math.cos(angle), sin: Math.sin(angle), side: isMirrored ? -1 : 1 };
};
const byOverlap = (a: Tried, b: Tried): number => b.overlap - a.overlap;
const apart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

/** Turns that are none of those before them. */
const wellApart = (best: Turned, alike: readonly Turned[]): readonly Turned[] => {
  const kept: Turned[] = [];
  for (const t of alike)
    if (![best, ...kept].some(k => k.isMirrored === t.isMirrored && apart(k.deg, t.deg) < APART_DEG))
      kept.push(t);
  return kept;
};

/** Every so manieth row and column is looked at where a turn is tried roughly; it is tried in full where it is not this much worse then. */
const ROUGHLY = { every: 2, worse: 0.06 } as const;

/** The turn that fits best, and all that fit about as well: its front before its back and a small turn before a large one, where they do. */
const bestTurn = (
  tryIt: (turned: Turned, every?: number) => Tried,
): { readonly best: Tried; readonly alike: readonly Turned[] } => {
  const roughly = [false, true].flatMap(isMirrored =>
    Array.from({ length: 360 / COARSE_DEG }, (_, i) =>
      tryIt({ deg: i * COARSE_DEG, isMirrored }, ROUGHLY.every),
    ),
  );
  const least = Math.max(...roughly.map(t => t.overlap)) - ROUGHLY.worse;
  const tried = roughly
    .filter(t => t.overlap >= least)
    .map(t => tryIt(t.turned))
    .toSorted(byOverlap);
  const most = tried[0]?.overlap ?? 0;
  const alike = tried.filter(t => t.overlap > most - ALIKE);
  const [chosen = tryIt({ deg: 0, isMirrored: false })] = alike.toSorted(
    (a, b) =>
      Number(a.turned.isMirrored) - Number(b.turned.isMirrored) ||
      apart(a.turned.deg, 0) - apart(b.turned.deg, 0),
  );
  const isNear = ({ turned }: Tried): boolean =>
    turned.isMirrored === chosen.turned.isMirrored && apart(turned.deg, chosen.turned.deg) < APART_DEG;
  const start = alike.find(isNear) ?? chosen;
  const [best = start] = Array.from({ length: 2 * COARSE_DEG - 1 }, (_, i) =>
    tryIt({ ...start.turned, deg: start.turned.deg + (i - COARSE_DEG + 1) * FINE_DEG }),
  ).toSorted(byOverlap);
  return { best, alike: alike.map(t => t.turned) };
};

/**
 * Lays an outline onto a blob of a picture: size by area, place by the middle, and every turn tried, of its front and its back. One scale for both
 * ways. Null where either is empty, or of no size that the picture can have it.
 * @param outline mm; its even-odd rings  @param blob as `largestBlob` gives it
 */
export const layOutlineOn = (
  outline: readonly Polygon[],
  blob: Blob,
  picture: {
    readonly width: number;
    readonly height: number;
    /** The least and the most that a pixel can be; any when left out. */
    readonly mmPerPx?: readonly [number, number];
  },
): LaidOn | null => {
  const box = boundsOf(outline.flat());
  const cellMm = Math.max(box.maxX - box.minX, box.maxY - box.minY) / GRID;
  if (!(cellMm > 0) || blob.cells === 0) return null;
  const around = 0.15 * GRID * cellMm;
  const grid = {
    cellMm,
    left: box.minX - around,
    top: box.minY - around,
    columns: Math.ceil((box.maxX - box.minX + 2 * around) / cellMm),
    rows: Math.ceil((box.maxY - box.minY + 2 * around) / cellMm),
  };
  const inside = insideOf(outline, grid);
  const own = momentsOf(inside, grid.columns, (c, r) => ({
    x: grid.left + c * cellMm,
    y: grid.top + r * cellMm,
  }));
  if (own.area === 0) return null;
  const seen = momentsOf(blob.mask, picture.width, (x, y) => ({ x, y }));
  const mmPerPx = Math.sqrt((own.area * cellMm * cellMm) / seen.area);
  const [least, most] = picture.mmPerPx ?? [0, Number.POSITIVE_INFINITY];
  if (mmPerPx < least || mmPerPx > most) return null;
  const [columns, rows] = [grid.columns, grid.rows];
  const overlapOf = (turned: Turned, every: number): number => {
    const { cos, sin, side } = factorsOf(turned);
    let both = 0;
    let either = 0;
    for (let r = 0; r < rows; r += every) {
      const y = (grid.top + (r + 0.5) * cellMm - own.at.y) / mmPerPx;
      const left = seen.at.x - sin * y;
      const top = seen.at.y + cos * y;
      for (let c = 0; c < columns; c += every) {
        const x = (side * (grid.left + (c + 0.5) * cellMm - own.at.x)) / mmPerPx;
        const px = Math.floor(left + cos * x);
        const py = Math.floor(top + sin * x);
        const isIn = px >= 0 && py >= 0 && px < picture.width && py < picture.height;
        const there = isIn ? (blob.mask[py * picture.width + px] ?? 0) : 0;
        const here = inside[r * columns + c] ?? 0;
        both += here & there;
        either += here | there;
      }
    }
    return both / either;
  };
  const tryIt = (turned: Turned, every = 1): Tried => ({ turned, overlap: overlapOf(turned, every) });
  const { best, alike } = bestTurn(tryIt);
  const { cos, sin, side } = factorsOf(best.turned);
  return {
    mmPerPx,
    overlap: best.overlap,
    isMirrored: best.turned.isMirrored,
    isTurnUnknown: alike.some(
      t => t.isMirrored === best.turned.isMirrored && apart(t.deg, best.turned.deg) >= APART_DEG,
    ),
    isSideUnknown: alike.some(t => t.isMirrored !== best.turned.isMirrored),
    turned: best.turned,
    alike: wellApart(best.turned, alike),
    toPicture: mm => {
      const [x, y] = [(side * (mm.x - own.at.x)) / mmPerPx, (mm.y - own.at.y) / mmPerPx];
      return { x: seen.at.x + cos * x - sin * y, y: seen.at.y + sin * x + cos * y };
    },
    toOutline: px => {
      const [x, y] = [px.x - seen.at.x, px.y - seen.at.y];
      return {
        x: own.at.x + side * mmPerPx * (cos * x + sin * y),
        y: own.at.y + mmPerPx * (-sin * x + cos * y),
      };
    },
  };
};
