/** One act of parting a heap: into how many, and how many heaps there are then. */
export interface Split {
  readonly into: number;
  /** Heaps after this act. */
  readonly heaps: number;
  /** Halves and thirds are parted by eye and hand; anything else wants the scale. */
  readonly byHand: boolean;
}

const smallestFactor = (n: number): number => {
  for (let f = 2; f * f <= n; f += 1) if (n % f === 0) return f;
  return n;
};

/**
 * How to part a heap of wool into n equal parts: halves first, then thirds, then what only a scale can do.
 * @param n whole, ≥ 1
 * @example splitScheme(12) // halve, halve, thirds
 */
export const splitScheme = (n: number): readonly Split[] => {
  const splits: Split[] = [];
  let rest = Math.max(1, Math.round(n));
  let heaps = 1;
  while (rest > 1) {
    const into = smallestFactor(rest);
    heaps *= into;
    rest /= into;
    splits.push({ into, heaps, byHand: into <= 3 });
  }
  return splits;
};
