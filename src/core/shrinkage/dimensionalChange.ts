/**
 * Signed dimensional change in per cent, as textile standards give it: 100·(after − before)/before.
 * A shrinking length gives a negative figure.
 * Source: ISO 3759 / ISO 5077, from memory.
 * @param before mm, > 0  @param after mm, ≥ 0
 * @example dimensionalChangePercent({ before: 500, after: 350 }) // -30
 */
export const dimensionalChangePercent = (length: { before: number; after: number }): number =>
  (100 * (length.after - length.before)) / length.before;
