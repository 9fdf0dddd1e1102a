import { divide } from './divide';
import type { WeighPlan } from './weigh';

/** A share of one layer, laid of one wool; null is a wool that is not chosen yet. */
export interface LayerPart {
  readonly woolId: string | null;
  readonly share: number;
}

/** The wools of each layer, the one laid first at 0. A layer that is not named is all of the piece's own wool. */
export type LayColours = ReadonlyArray<readonly LayerPart[]>;

/** What one layer is laid of, shares summing to 1. */
export const partsOf = (colours: LayColours, layer: number, woolId: string | null): readonly LayerPart[] => {
  const named = colours[layer]?.filter(p => p.share > 0) ?? [];
  const sum = named.reduce((all, p) => all + p.share, 0);
  return sum > 0 ? named.map(p => ({ ...p, share: p.share / sum })) : [{ woolId, share: 1 }];
};

/** One pile as it goes onto the scale. */
export interface ScalePile {
  /** Stands in the log; the same plan gives the same ids. */
  readonly id: string;
  /** Which of the pieces alike, from 1; 1 where there is only one. */
  readonly piece: number;
  readonly face: string;
  /** The layer it belongs to, from 1; null for a heap that has none. */
  readonly layer: number | null;
  readonly woolId: string | null;
  readonly grams: number;
}

/** More pieces alike than these are weighed as one list, over and over. */
const MOST_LISTED = 12;

/**
 * Every pile of a plan in the order it is weighed: piece by piece, face by face, layer by layer, wool by wool.
 * Each layer's piles sum to it exactly.
 * @param stepG what the scale reads, g, > 0
 */
export const pileList = (
  weigh: WeighPlan,
  of: { readonly colours: LayColours; readonly woolId: string | null; readonly stepG: number },
): readonly ScalePile[] => {
  const pieces = weigh.times <= MOST_LISTED ? weigh.times : 1;
  return Array.from({ length: pieces }, (_, k) =>
    weigh.faces.flatMap((face, f) =>
      face.layers.flatMap((grams, l) => {
        const parts = partsOf(of.colours, l, of.woolId);
        const shares = divide(
          grams,
          parts.map(p => p.share),
          of.stepG,
        );
        return parts.map((part, p): ScalePile => ({
          id: [k + 1, f + 1, l + 1, p + 1].join('.'),
          piece: k + 1,
          face: face.name,
          layer: face.layers.length > 1 || face.equal === 1 ? l + 1 : null,
          woolId: part.woolId,
          grams: shares[p] ?? 0,
        }));
      }),
    ),
  ).flat();
};

/** Grams of each wool for a whole plan, its part of the reserve beside them. Null is the wool not chosen yet. */
export const woolNeeds = (
  weigh: WeighPlan,
  of: { readonly colours: LayColours; readonly woolId: string | null; readonly stepG: number },
): ReadonlyArray<{ readonly woolId: string | null; readonly grams: number }> => {
  const needs = new Map<string | null, number>();
  for (const pile of pileList({ ...weigh, times: 1 }, of))
    needs.set(pile.woolId, (needs.get(pile.woolId) ?? 0) + pile.grams * weigh.times);
  const all = [...needs.values()].reduce((a, b) => a + b, 0);
  return [...needs].map(([woolId, grams]) => ({
    woolId,
    grams: grams + (all > 0 ? (weigh.reserve * grams) / all : 0),
  }));
};
