/** A line of an open promise: so many of a product, by a day. */
export interface PromisedLine {
  readonly id: string;
  readonly productId: string;
  /** What is still to be handed over, ≥ 0. */
  readonly open: number;
  /** ISO date, or null for no day. */
  readonly due: string | null;
}

/** What a product's stock is promised to. */
export interface FreeStock {
  readonly onHand: number;
  readonly promised: number;
  /** On hand and not promised; below zero where more is promised than is there. */
  readonly free: number;
}

/** On hand, promised and free of one product. */
export const freeStock = (onHand: number, lines: readonly PromisedLine[]): FreeStock => {
  const promised = lines.reduce((sum, l) => sum + l.open, 0);
  return { onHand, promised, free: onHand - promised };
};

/**
 * What of each line is there already, and what is still to be made: what is on hand goes to the earliest day first.
 * @param onHand of each product  @returns by line: how many are to be made, ≥ 0
 */
export const toMake = (
  lines: readonly PromisedLine[],
  onHand: (productId: string) => number,
): ReadonlyMap<string, number> => {
  const left = new Map<string, number>();
  const ordered = lines.toSorted(
    (a, b) => (a.due ?? '9').localeCompare(b.due ?? '9') || (a.id < b.id ? -1 : 1),
  );
  return new Map(
    ordered.map(({ id, productId, open }) => {
      const there = Math.max(0, left.get(productId) ?? onHand(productId));
      const taken = Math.min(there, open);
      left.set(productId, there - taken);
      return [id, open - taken];
    }),
  );
};
