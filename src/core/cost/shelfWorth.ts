import { costOfAmount, type Minor } from '../money/exact';

/** What lies on the shelf is worth, and how much of it has no price or was never counted. */
export interface ShelfWorth {
  readonly total: Minor;
  /** How many are not in the sum. */
  readonly open: number;
}

/**
 * What the shelf is worth: what is left of each at what was paid for it, each rounded once, half up.
 * @param things grams that are left, g, ≥ 0, and price of 100 g in whole units; null where it is not known
 */
export const shelfWorth = (
  things: ReadonlyArray<{ readonly left: number | null; readonly per100g: number | null }>,
  places: number,
): ShelfWorth => {
  let total = 0;
  let open = 0;
  for (const { left, per100g } of things)
    if (left === null || per100g === null) open += 1;
    else total += costOfAmount({ price: per100g, per: 100, amount: left, places });
  return { total, open };
};
