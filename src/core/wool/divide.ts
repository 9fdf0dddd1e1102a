/** Grams as a whole number of scale steps, never less than none. */
export const roundToStep = (grams: number, stepG: number): number =>
  Number((Math.max(0, Math.round(grams / stepG)) * stepG).toFixed(6));

/** A pile of fewer steps than this would be told wrong by more than a tenth. */
const FEWEST_STEPS = 5;

/**
 * The step in which piles are told: what the scale reads to; where that is coarse for the lightest of them, a tenth of a gram, and
 * under a gram a hundredth (common practice), so that none is told as nothing.
 * @param stepG what the scale reads to, g, > 0  @param lightestG the lightest pile, g
 * @example stepFor(1, 0.69) // 0.01
 */
export const stepFor = (stepG: number, lightestG: number): number =>
  lightestG >= FEWEST_STEPS * stepG ? stepG : Math.min(stepG, lightestG < 1 ? 0.01 : 0.1);

/**
 * Divides a mass by weights so that every part is a whole number of scale steps and the parts sum exactly to the
 * total, itself rounded to the step. Largest remainder first; equal remainders in order.
 * @param total g, ≥ 0  @param weights relative, ≥ 0, not all 0  @param stepG what the scale can read, g, > 0
 * @example divide(30, [1, 1, 1], 0.5) // [10, 10, 10]
 */
export const divide = (total: number, weights: readonly number[], stepG: number): readonly number[] => {
  const steps = Math.max(0, Math.round(total / stepG));
  const sum = weights.reduce((a, b) => a + b, 0);
  if (!(sum > 0)) return weights.map(() => 0);
  const exact = weights.map(w => (steps * w) / sum);
  const parts = exact.map(x => Math.floor(x + 1e-9));
  const missing = steps - parts.reduce((a, b) => a + b, 0);
  const order = exact
    .map((x, i) => ({ i, rest: x - Math.floor(x + 1e-9) }))
    .toSorted((a, b) => b.rest - a.rest || a.i - b.i);
  for (const { i } of order.slice(0, missing)) parts[i] = (parts[i] ?? 0) + 1;
  return parts.map(n => Number((n * stepG).toFixed(6)));
};
