/** A count as it is logged: a middle, and its deviation where it was not counted. */
export interface CountEstimate {
  readonly count: number;
  readonly give: number;
}

/**
 * A count that was lost: anything between two numbers is as likely. Source: deviation of an even law, (b − a)/√12.
 * @param of.isWhole whether it counts whole things; minutes have parts
 */
export const guessBetween = (
  least: number,
  most: number,
  { isWhole = true }: { readonly isWhole?: boolean } = {},
): CountEstimate => ({
  count: isWhole ? Math.round((least + most) / 2) : (least + most) / 2,
  give: (most - least) / Math.sqrt(12),
});

/** Rolls a minute of somebody who has not tapped a pace yet; common practice. */
export const USUAL_PACE = 60;
/** How evenly a hand keeps its pace: deviation of what it does in a time, as a share; of others, how their paces differ. Common practice. */
const UNEVEN = { own: 0.1, usual: 0.3 } as const;

/**
 * What a hand does in so many minutes.
 * @param of.isOwn whether the pace is its own, or what is usual
 */
export const countFromMinutes = (
  minutes: number,
  perMinute: number,
  { isOwn = true }: { readonly isOwn?: boolean } = {},
): CountEstimate => {
  const count = Math.max(1, Math.round(minutes * perMinute));
  return { count, give: (isOwn ? UNEVEN.own : UNEVEN.usual) * count };
};

/** A time as a clock shows it. @example clockWords(200_000) // '3:20' */
export const clockWords = (ms: number): string => {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
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
