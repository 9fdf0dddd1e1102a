/** A weighing on the way. */
export interface Weighing {
  readonly atMs: number;
  readonly grams: number;
}

/** What weighings say: dry by its planned weight, dry as it loses nothing any more, not dry, or nothing yet. */
export type Dryness =
  | { readonly is: 'dry'; readonly by: 'plan' | 'steady' }
  | { readonly is: 'wet'; readonly overG: number | null }
  | { readonly is: 'unknown' };

/** How near the planned weight counts as dry, and how little an hour may take off. Common practice. */
const WITHIN = 0.02;
const STEADY = 0.01;
/** Weighings nearer than this say nothing of whether it still loses water, ms. */
const APART_MS = 55 * 60_000;

/**
 * Whether it weighs what it must: the plan's dry grams within 2 %, or less, or two weighings an hour apart within 1 %.
 * @param weighings in the order of their time  @param plannedG what it must weigh, > 0; null where that is not known
 */
export const dryness = (weighings: readonly Weighing[], plannedG: number | null): Dryness => {
  const last = weighings.at(-1);
  if (!last) return { is: 'unknown' };
  if (plannedG !== null && last.grams <= plannedG * (1 + WITHIN)) return { is: 'dry', by: 'plan' };
  const before = weighings.findLast(w => last.atMs - w.atMs >= APART_MS);
  if (before && Math.abs(before.grams - last.grams) <= STEADY * before.grams)
    return { is: 'dry', by: 'steady' };
  return { is: 'wet', overG: plannedG === null ? null : last.grams - plannedG };
};
