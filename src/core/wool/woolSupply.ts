import { linearFromKept } from '../shrinkage/linearFromKept';
import type { ScalePile } from './pileList';

/** What one wool must still give, against what is left of it. */
export interface WoolSupply {
  readonly woolId: string | null;
  /** g for the whole plan, its part of the reserve in it. */
  readonly grams: number;
  /** g that were not weighed yet. */
  readonly open: number;
  /** g on the shelf; null where it was never counted. */
  readonly left: number | null;
  /** g that are lacking; 0 where there is enough, or where nobody counted. */
  readonly short: number;
}

/** Less than this is no shortage: a kitchen scale does not see it. */
const UNSEEN_G = 0.05;

/**
 * Whether the shelf holds enough of each wool, with what was weighed already taken off what it must give.
 * @param left g on the shelf now, what was weighed already gone from it; null where it was never counted
 */
export const woolSupply = (
  needs: ReadonlyArray<{ readonly woolId: string | null; readonly grams: number }>,
  weighed: ReadonlyArray<{ readonly woolId: string | null; readonly grams: number }>,
  left: (woolId: string | null) => number | null,
): readonly WoolSupply[] =>
  needs.map(({ woolId, grams }) => {
    const done = weighed.filter(w => w.woolId === woolId).reduce((sum, w) => sum + w.grams, 0);
    const open = Math.max(0, grams - done);
    const has = left(woolId);
    const lacking = has === null ? 0 : open - has;
    return { woolId, grams, open, left: has, short: lacking > UNSEEN_G ? lacking : 0 };
  });

/** What the wools of a plan cost. */
export interface WoolCost {
  readonly sum: number;
  /** False where a wool on the shelf has no price. */
  readonly isWhole: boolean;
}

/** @param rows grams of each wool, with its price of 100 g; null where it has none, undefined where no wool is chosen */
export const woolCost = (
  rows: ReadonlyArray<{ readonly grams: number; readonly per100g: number | null | undefined }>,
): WoolCost => ({
  sum: rows.reduce((sum, r) => sum + ((r.per100g ?? 0) * r.grams) / 100, 0),
  isWhole: rows.every(r => r.per100g !== null),
});

/** Another wool for inside layers, so that what is short suffices for what is seen. */
export interface Substitute {
  /** Layers it takes, the one laid first at 0. */
  readonly layers: readonly number[];
  readonly grams: number;
  /** The wool on the shelf with most to spare. */
  readonly woolId: string;
}

/**
 * Which hidden layers another wool may take where one runs out: neither the first laid nor the last, the innermost first, as
 * few as cover what is short; and the wool that can. Null where there is no such layer, or no such wool.
 * @param piles of all the pieces  @param spare g that other wools could give, nothing of them owed to this plan
 */
export const substituteFor = (
  lack: { readonly woolId: string | null; readonly short: number },
  piles: readonly ScalePile[],
  spare: ReadonlyArray<{ readonly woolId: string; readonly grams: number }>,
): Substitute | null => {
  const own = piles.filter(p => p.decoration === undefined);
  const last = Math.max(0, ...own.map(p => p.layer ?? 0));
  const hidden = Array.from({ length: Math.max(0, last - 2) }, (_, i) => i + 1)
    .map(layer => ({
      layer,
      grams: own
        .filter(p => p.layer === layer + 1 && p.woolId === lack.woolId)
        .reduce((sum, p) => sum + p.grams, 0),
    }))
    .filter(h => h.grams > 0)
    .toSorted((a, b) => Math.abs(a.layer - (last - 1) / 2) - Math.abs(b.layer - (last - 1) / 2));
  const layers: number[] = [];
  let grams = 0;
  for (const h of hidden) {
    if (grams >= lack.short) break;
    layers.push(h.layer);
    grams += h.grams;
  }
  const [most] = spare.filter(s => s.woolId !== lack.woolId).toSorted((a, b) => b.grams - a.grams);
  return grams >= lack.short && most && most.grams >= grams
    ? { layers: layers.toSorted((a, b) => a - b), grams, woolId: most.woolId }
    : null;
};

/** Below this share of what is wanted, a smaller piece is another piece (common practice). */
const LEAST_SHARE = 0.1;

/**
 * How much smaller, or thinner, a piece would have to be for a wool to be enough: a share of its lengths, and the share of its
 * thickness that is left. Null where that would be another piece.
 * @param isSolid a solid's wool goes with the cube of its size, a sheet's with the square
 */
export const enoughFor = (
  row: WoolSupply,
  isSolid: boolean,
): { readonly smaller: number; readonly thicknessShare: number } | null => {
  const share = sufficientShare(row);
  return share > LEAST_SHARE
    ? { smaller: linearFromKept(share, isSolid ? 3 : 2), thicknessShare: share }
    : null;
};

/** Grams that other wools of the shelf could give: what is left of each, less what this plan still needs of it. */
export const spareOf = (
  shelf: ReadonlyArray<{ readonly woolId: string; readonly left: number | null }>,
  rows: readonly WoolSupply[],
): ReadonlyArray<{ readonly woolId: string; readonly grams: number }> =>
  shelf.map(({ woolId, left }) => ({
    woolId,
    grams: (left ?? 0) - (rows.find(r => r.woolId === woolId)?.open ?? 0),
  }));

/**
 * The share of its size that a piece may keep where a wool is short: 1 where it suffices.
 * @param row of the wool that is shortest
 */
export const sufficientShare = ({ left, open, short }: WoolSupply): number =>
  short > 0 && open > 0 ? (left ?? 0) / open : 1;
