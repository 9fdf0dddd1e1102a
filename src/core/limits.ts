/**
 * What figures may be at all, each once: beyond these it is a slip or a damaged file, and nothing is made of it.
 * They guard the application, not the craft: no felter comes near them (common practice).
 */
export interface Limit {
  readonly least: number;
  readonly most: number;
}

export const LIMITS = {
  /** Changes of a record, and entries of a log. */
  revision: { least: 1, most: 1e12 },
  seq: { least: 1, most: 1e12 },
  /** What a count from before there were limits is brought down to, so that it can go on. */
  olderCount: { least: 1, most: 1e9 },
  /** Any measure of a form: mm, shares, counts. */
  measure: { least: 0, most: 100_000 },
  /** How many alike. */
  pieces: { least: 1, most: 9999 },
  /** A length read off a tape, mm. */
  readingMm: { least: 0.1, most: 50_000 },
  thicknessMm: { least: 0.01, most: 1000 },
  /** Wool of a piece, a pile or a shelf, g. */
  grams: { least: 0, most: 10_000_000 },
  /** Something that was weighed and is there, g. */
  weighedG: { least: 0.001, most: 10_000_000 },
  micron: { least: 1, most: 1000 },
  /** Money for 100 g, in whatever is counted. */
  price: { least: 0, most: 1e9 },
  /** A sum of money in the smallest unit. */
  minor: { least: 0, most: 1e12 },
  /** Things in stock. */
  stock: { least: 0, most: 1_000_000 },
  ropeGPerM: { least: 0.001, most: 100_000 },
  coordinateMm: { least: -100_000, most: 100_000 },
  /** Side of a swatch as laid, mm. */
  swatchMm: { least: 1, most: 10_000 },
  swatchLayers: { least: 1, most: 50 },
  face: { least: 1, most: 20 },
  /** Rolls, rubs, throws or rounds of one entry. */
  actCount: { least: 1, most: 1_000_000 },
  /** Minutes of one entry: half a day. */
  minutes: { least: 0.1, most: 720 },
  countSpread: { least: 0, most: 1_000_000 },
} as const satisfies Readonly<Record<string, Limit>>;

/** Whether a figure is a number within its limits; NaN is not. */
export const isWithin = (value: number, { least, most }: Limit): boolean => value >= least && value <= most;

/** The nearest figure within the limits; what is no number becomes the least. */
export const clamped = (value: number, { least, most }: Limit): number =>
  value >= least ? Math.min(value, most) : least;
