/** What one open thing asks for. */
export interface Need {
  readonly id: string;
  /** In the unit of what is needed: g of a wool, pieces, m or ml of a part. */
  readonly amount: number;
  /** For what, by its name. */
  readonly of: string;
}

/** What is needed of one thing altogether, what there is, and what is short. */
export interface NeedSum {
  readonly id: string;
  readonly needed: number;
  /** Null where it was never counted: then nothing is known to be short. */
  readonly left: number | null;
  /** ≥ 0. */
  readonly short: number;
  readonly of: readonly string[];
}

/**
 * Sums what is needed over all that is planned, what is short of it first.
 * @param left how much there is; null where it was never counted
 */
export const sumNeeds = (needs: readonly Need[], left: (id: string) => number | null): readonly NeedSum[] => {
  const sums = new Map<string, { needed: number; of: Set<string> }>();
  for (const { id, amount, of } of needs) {
    const sum = sums.get(id) ?? { needed: 0, of: new Set<string>() };
    sum.needed += amount;
    sum.of.add(of);
    sums.set(id, sum);
  }
  return [...sums]
    .map(([id, { needed, of }]) => {
      const there = left(id);
      return {
        id,
        needed,
        left: there,
        short: there === null ? 0 : Math.max(0, needed - there),
        of: [...of],
      };
    })
    .toSorted((a, b) => b.short - a.short || (a.id < b.id ? -1 : 1));
};
