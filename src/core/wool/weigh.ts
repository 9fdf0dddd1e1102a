import { divide, roundToStep } from './divide';
import { type Split, splitScheme } from './splitScheme';

/** What is weighed for one face: the whole, and each layer in the order it is laid. */
export interface FaceWeight {
  readonly name: string;
  readonly grams: number;
  readonly layers: readonly number[];
}

export interface WeighPlan {
  /** Grams to lay, rounded to the scale; the faces sum to it exactly. */
  readonly total: number;
  readonly reserve: number;
  readonly take: number;
  readonly faces: readonly FaceWeight[];
  readonly parts: number;
  readonly partGrams: number;
  readonly scheme: readonly Split[];
}

/**
 * Wool in grams: in all, per face, per layer, in equal parts, and a reserve beside it.
 * @param grams exact mass to lay, g  @param faces name and wool area of each, mm²  @param layers per face, ≥ 1
 * @param reserveShare of the mass, common practice 0.05–0.10  @param stepG what the scale can read, g
 */
export const weigh = (input: {
  readonly grams: number;
  readonly faces: ReadonlyArray<{ readonly name: string; readonly woolMm2: number }>;
  readonly layers: number;
  readonly reserveShare: number;
  readonly stepG: number;
}): WeighPlan => {
  const layers = Math.max(1, Math.round(input.layers));
  const total = roundToStep(input.grams, input.stepG);
  const perFace = divide(
    total,
    input.faces.map(f => f.woolMm2),
    input.stepG,
  );
  const even = Array.from({ length: layers }, () => 1);
  const reserve = roundToStep(
    Math.ceil((input.grams * input.reserveShare) / input.stepG) * input.stepG,
    input.stepG,
  );
  const parts = layers * input.faces.length;
  return {
    total,
    reserve,
    take: Number((total + reserve).toFixed(6)),
    faces: input.faces.map((f, i) => {
      const grams = perFace[i] ?? 0;
      return { name: f.name, grams, layers: divide(grams, even, input.stepG) };
    }),
    parts,
    partGrams: input.grams / parts,
    scheme: splitScheme(parts),
  };
};
