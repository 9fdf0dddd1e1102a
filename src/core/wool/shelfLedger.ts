/** Wool taken off the shelf for a piece. */
export interface ShelfTaking {
  readonly woolId: string | null;
  readonly grams: number;
  /** When, ms since 1970. */
  readonly atMs: number;
}

/**
 * What is left of a wool: what was counted, less what was weighed since. Null where it was never counted.
 * @param wool with its grams when it was counted, and when that was, ms since 1970
 */
export const gramsLeft = (
  wool: { readonly id: string; readonly gramsCounted: number | null; readonly countedMs: number },
  takings: readonly ShelfTaking[],
): number | null => {
  const { gramsCounted, countedMs } = wool;
  if (gramsCounted === null) return null;
  const taken = takings
    .filter(t => t.woolId === wool.id && t.atMs > countedMs)
    .reduce((sum, t) => sum + t.grams, 0);
  return Math.max(0, gramsCounted - taken);
};
