/** A count as it is logged: a middle, and its deviation where it was not counted. */
export interface CountEstimate {
  readonly count: number;
  readonly give: number;
}

/** A count that was lost: anything between two numbers is as likely. Source: deviation of an even law, (b − a)/√12. */
export const guessBetween = (least: number, most: number): CountEstimate => ({
  count: Math.round((least + most) / 2),
  give: (most - least) / Math.sqrt(12),
});

/** How evenly a hand keeps its pace: deviation of what it does in a time, as a share (common practice). */
const UNEVEN = 0.1;

/** What a hand does in so many minutes at its own pace. */
export const countFromMinutes = (minutes: number, perMinute: number): CountEstimate => {
  const count = Math.max(1, Math.round(minutes * perMinute));
  return { count, give: UNEVEN * count };
};

/** Taps further apart than this begin a new count, ms. */
const LONGEST_MS = 6000;
/** Fewer taps say too little. */
const FEWEST = 4;

/**
 * The pace of taps, one a roll: rolls a minute by the middle of the times between, so that one late tap does not count.
 * @param taps times, ms, rising
 * @returns null where there are too few
 */
export const paceOfTaps = (taps: readonly number[]): number | null => {
  const gaps = taps.slice(1).map((t, i) => t - (taps[i] ?? t));
  const late = gaps.findLastIndex(g => g > LONGEST_MS);
  const own = gaps.slice(late + 1).toSorted((a, b) => a - b);
  if (own.length + 1 < FEWEST) return null;
  const half = Math.floor(own.length / 2);
  const middle = own.length % 2 === 1 ? (own[half] ?? 0) : ((own[half - 1] ?? 0) + (own[half] ?? 0)) / 2;
  return middle > 0 ? 60_000 / middle : null;
};

/** How many the pacer has counted, by the clock, so that a tab that slept does not lose any. */
export const pacedCount = (elapsedMs: number, perMinute: number, most: number): number =>
  Math.max(0, Math.min(most, Math.floor((elapsedMs * perMinute) / 60_000)));
