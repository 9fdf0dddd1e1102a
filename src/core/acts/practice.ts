/** Counts the advice goes by. Common practice, no published source. */
export const PRACTICE = {
  /** Rubs on a face before its skin is tested. */
  rubs: 40,
  /** Rolls in a set near the end. */
  shortSet: 10,
  /** Rolls between measurings; near the end, or when the work is lopsided. */
  measureEvery: { far: 200, near: 60 },
  /** Rolls on the diagonal of a corner that lags, before it is looked at again. */
  corner: 20,
  /** Throws before it is tested again. */
  throws: 12,
} as const;

/** Hours on a rack until a ball is dry to its core; common practice. */
export const BALL_DRIES_HOURS = 48;
