/** How often four-in-five ranges may hold. */
const WANTED = 0.8;

/** Logarithm of n!, by adding up. */
const logFactorials = (n: number): readonly number[] => {
  const sums = [0];
  for (let k = 1; k <= n; k += 1) sums.push((sums[k - 1] ?? 0) + Math.log(k));
  return sums;
};

/**
 * How many of so many honest four-in-five ranges hold, nine times in ten: what chance alone does to so few.
 * Source: the binomial distribution, 5 % and 95 % quantiles.
 * @param tried how many, ≥ 0
 */
export const chanceRange = (tried: number): { readonly least: number; readonly most: number } => {
  const logs = logFactorials(tried);
  let sum = 0;
  let least: number | null = null;
  for (let k = 0; k <= tried; k += 1) {
    sum += Math.exp(
      (logs[tried] ?? 0) -
        (logs[k] ?? 0) -
        (logs[tried - k] ?? 0) +
        k * Math.log(WANTED) +
        (tried - k) * Math.log(1 - WANTED),
    );
    if (least === null && sum >= 0.05) least = k;
    if (sum >= 0.95) return { least: least ?? k, most: k };
  }
  return { least: least ?? 0, most: tried };
};

/** z of 90 % in the middle of a normal. */
const Z90 = 1.6449;

/**
 * Between which shares the true one lies, nine times in ten, where so many of so many held.
 * Source: E. B. Wilson, J. Am. Stat. Assoc. 22 (1927) 209–212, from memory.
 * @param tried > 0
 */
export const shareRange = (held: number, tried: number): { readonly low: number; readonly high: number } => {
  const [p, z2] = [held / tried, Z90 ** 2];
  const middle = (p + z2 / (2 * tried)) / (1 + z2 / tried);
  const half = (Z90 * Math.sqrt((p * (1 - p)) / tried + z2 / (4 * tried ** 2))) / (1 + z2 / tried);
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
};
