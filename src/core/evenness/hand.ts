/** How somebody lays wool: the wisps they pull and how exactly they lay them. All of it common practice until weighed. */
export interface Hand {
  /** A wisp's length and width as it lies, mm, > 0. */
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Mean mass of a wisp, g, > 0. */
  readonly grams: number;
  /** Share of the length over which the ends grow thin, 0 to 1; feathered ends are 1. */
  readonly taper: number;
  /** How far the direction of a wisp strays, degrees (standard deviation). */
  readonly strayDeg: number;
  /** How unequal wisps are: standard deviation over mean of their mass. */
  readonly unequal: number;
}

/** A hand that is not known yet: wisps of 10 × 4 cm and 0.15 g, feathered (common practice). */
export const USUAL_HAND: Hand = {
  lengthMm: 100,
  widthMm: 40,
  grams: 0.15,
  taper: 0.7,
  strayDeg: 12,
  unequal: 0.25,
};

/** The hand of a maker, as far as it was weighed. */
export const handOf = (known: Partial<Hand> | null): Hand => ({ ...USUAL_HAND, ...known });

/** Footprint of a wisp, relative to its mass, mm⁻²: even in width, tapering towards both ends. 0 outside. */
export const footprint = ({ lengthMm, widthMm, taper }: Hand, along: number, across: number): number => {
  const [x, y] = [Math.abs(along), Math.abs(across)];
  if (!(x <= lengthMm / 2 && y <= widthMm / 2)) return 0;
  const ramp = (lengthMm * taper) / 2;
  const height = 1 / (lengthMm * (1 - taper / 2) * widthMm);
  const toEnd = lengthMm / 2 - x;
  return ramp > 0 ? height * Math.min(1, toEnd / ramp) : height;
};

/** ∫φ² of that footprint, mm⁻². */
export const footprintSquared = ({ lengthMm, widthMm, taper }: Hand): number =>
  (1 - (2 * taper) / 3) / (lengthMm * (1 - taper / 2) ** 2 * widthMm);

/**
 * Mean and variance of the areal weight far from edges, for wisps of equal mass scattered at random.
 * Source: Campbell's theorem: mean g₀, variance g₀·μ·∫φ².
 * @param arealGsm g/m²
 */
export const scattered = (
  hand: Hand,
  arealGsm: number,
): { readonly mean: number; readonly variance: number } => ({
  mean: arealGsm,
  // g/m² · g · mm⁻², and a million mm² to the m².
  variance: arealGsm * hand.grams * footprintSquared(hand) * 1e6,
});
