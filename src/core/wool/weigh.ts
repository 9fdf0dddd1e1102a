import { divide, stepFor, roundToStep } from './divide';
import { type Split, splitScheme } from './splitScheme';

/** What is to be weighed: a face with its layers, or a heap that is parted into equal ones. */
export interface Pile {
  readonly name: string;
  /** Its share of the wool, relative to the others. */
  readonly weight: number;
  /** Layers of a face, each weighed; 1 for a heap. */
  readonly layers: number;
  /** Equal ones that a heap is parted into by hand; 1 for a face. */
  readonly equal: number;
  /** True for a heap of a body: it may be of a wool of its own. */
  readonly isHeap?: boolean;
}

/** What is weighed for one pile: the whole, and each layer in the order it is laid. */
export interface FaceWeight {
  readonly name: string;
  readonly grams: number;
  readonly layers: readonly number[];
  readonly equal: number;
  readonly isHeap: boolean;
  /** Exact grams of each of the equal ones. */
  readonly eachGrams: number;
}

export interface WeighPlan {
  /** Grams in which it is told: what the scale reads to, or finer where piles are light. */
  readonly stepG: number;
  /** How often these piles are weighed: once for each piece that is laid. */
  readonly times: number;
  /** Grams to lay for one of them, rounded to the scale; the piles sum to it exactly. */
  readonly total: number;
  /** For all of them. */
  readonly reserve: number;
  /** For all of them, with the reserve. */
  readonly take: number;
  readonly faces: readonly FaceWeight[];
  readonly parts: number;
  readonly partGrams: number;
  readonly scheme: readonly Split[];
  /** What each piece has beside it by its own weight. */
  readonly apart: ReadonlyArray<{ readonly name: string; readonly grams: number }>;
}

const tidy = (grams: number): number => Number(grams.toFixed(6));

/**
 * Wool in grams: in all, per pile, per layer, in equal parts, and a reserve beside it.
 * @param grams exact mass to lay for all the pieces, g  @param times how often the piles are weighed, whole, ≥ 1
 * @param reserveShare of the mass, common practice 0.05–0.10  @param stepG what the scale can read, g
 */
export const weigh = (input: {
  readonly grams: number;
  readonly times: number;
  readonly piles: readonly Pile[];
  readonly reserveShare: number;
  readonly stepG: number;
  readonly apart?: WeighPlan['apart'];
}): WeighPlan => {
  const { times, piles } = input;
  const exact = input.grams / times;
  const weights = piles.map(p => p.weight);
  const all = weights.reduce((a, b) => a + b, 0);
  const lightest = Math.min(...piles.map(p => (exact * p.weight) / all / layersOf(p)));
  const stepG = stepFor(input.stepG, lightest);
  const total = roundToStep(exact, stepG);
  const perPile = divide(total, weights, stepG);
  const reserve = roundToStep(Math.ceil((input.grams * input.reserveShare) / stepG) * stepG, stepG);
  const parts = piles.reduce((sum, p) => sum + layersOf(p) * p.equal, 0);
  return {
    stepG,
    times,
    total,
    reserve,
    take: tidy(times * total + reserve),
    faces: piles.map((p, i) => {
      const even = Array.from({ length: layersOf(p) }, () => 1);
      const grams = perPile[i] ?? 0;
      return {
        name: p.name,
        grams,
        layers: divide(grams, even, stepG),
        equal: p.equal,
        isHeap: p.isHeap ?? false,
        eachGrams: all > 0 ? (exact * p.weight) / all / p.equal : 0,
      };
    }),
    parts,
    partGrams: exact / parts,
    scheme: splitScheme(parts),
    apart: input.apart ?? [],
  };
};

const layersOf = (pile: Pile): number => Math.max(1, Math.round(pile.layers));
