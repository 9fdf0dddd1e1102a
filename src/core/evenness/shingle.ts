import type { Hand } from './hand';

/** How far a hand strays from its rows: standard deviations of a wisp's place, each way, and of its direction. */
export interface Jitter {
  readonly placeMm: number;
  readonly turnDeg: number;
}

/** How rows of wisps are laid, each overlapping the one before like tiles. */
export interface Rows {
  /** Share of its length that a wisp lies over the row before it, 0 to below 1. */
  readonly overlap: number;
  readonly jitter: Jitter;
  /** True where the rows of every layer begin at the same edge; else each layer’s begin elsewhere. */
  readonly sameEdge: boolean;
  /** How far over the outline rows still begin, mm. */
  readonly reachMm: number;
}

/** How tidy a hand is. Common practice, set so that layouts are as even as those of tidy and hasty hands; nothing was measured. */
export const TIDINESS: Readonly<Record<'very-tidy' | 'tidy' | 'hasty', Jitter>> = {
  'very-tidy': { placeMm: 2, turnDeg: 4 },
  tidy: { placeMm: 6, turnDeg: 12 },
  hasty: { placeMm: 20, turnDeg: 18 },
};
export type Tidiness = keyof typeof TIDINESS;

/** How most lay: rows a little less than half over one another, tidily, a finger over the outline. Common practice. */
export const USUAL_ROWS: Rows = { overlap: 0.4, jitter: TIDINESS.tidy, sameEdge: false, reachMm: 10 };

/** A wisp as it is pulled and laid: thick near the end that was held, thinning to its tip. Common practice. */
const SHAPE = { rise: 0.1, tip: 0.15 } as const;

/** The profile along a wisp from its root, 0 to 1, before it is brought to one whole. */
const profile = (u: number): number =>
  u < SHAPE.rise ? u / SHAPE.rise : 1 - ((1 - SHAPE.tip) * (u - SHAPE.rise)) / (1 - SHAPE.rise);
/** ∫ of that from 0 to 1. */
const WHOLE = SHAPE.rise / 2 + ((1 - SHAPE.rise) * (1 + SHAPE.tip)) / 2;

/** Share of a wisp’s mass per mm of its length; 0 beyond it. @param s from its middle towards its tip, mm */
const along = (lengthMm: number, s: number): number => {
  const u = s / lengthMm + 0.5;
  return u < 0 || u > 1 ? 0 : profile(u) / (WHOLE * lengthMm);
};
/** Share per mm of its width: a parabola. */
const across = (widthMm: number, v: number): number => {
  const u = (2 * v) / widthMm;
  return Math.abs(u) > 1 ? 0 : (1.5 * (1 - u * u)) / widthMm;
};

/** Footprint of a wisp in a row, relative to its mass, mm⁻². @param s towards its tip  @param v across it */
export const shingleFootprint = ({ lengthMm, widthMm }: Hand, s: number, v: number): number =>
  along(lengthMm, s) * across(widthMm, v);

/** Rows on the table: how far apart they begin, and how far apart wisps lie in one, mm. @param arealGsm g/m² of the layer */
export const pitchOf = (
  hand: Hand,
  { overlap }: Pick<Rows, 'overlap'>,
  arealGsm: number,
): { readonly rowMm: number; readonly wispMm: number } => {
  const rowMm = hand.lengthMm * (1 - overlap);
  return { rowMm, wispMm: hand.grams / ((arealGsm / 1e6) * rowMm) };
};

const STEPS = 400;
/** |∫ f(x) e^{ikx} dx|² of a profile, by sums over its middle points. */
const spectrum = (f: (x: number) => number, halfMm: number) => {
  const step = (2 * halfMm) / STEPS;
  const at = Array.from({ length: STEPS }, (_, i) => -halfMm + (i + 0.5) * step);
  const values = at.map(x => f(x) * step);
  return (k: number): number => {
    let [re, im] = [0, 0];
    at.forEach((x, i) => {
      re += (values[i] ?? 0) * Math.cos(k * x);
      im += (values[i] ?? 0) * Math.sin(k * x);
    });
    return re * re + im * im;
  };
};

const sinc = (x: number): number => (Math.abs(x) < 1e-9 ? 1 : Math.sin(x) / x);

/**
 * Standard deviation over mean of square patches of one layer of rows, far from edges.
 * Source: the power spectrum of a jittered lattice: Var = ρμ²[(1+cv²)X₀Y₀ − XY] + ρ²μ²(AB − 1), with X, Y the integrals and A, B the
 * sums over the lattice of |φ̂|² e^{−k²b²} sinc²(kb/2), X₀, Y₀ those without jitter. Derived, not taken from a publication.
 * @param of.jitter null for wisps at random: then Campbell's ρμ²(1+cv²)X₀Y₀  @param of.patchMm side of a patch, mm
 */
export const shingledVariation = (
  hand: Hand,
  of: {
    readonly overlap: number;
    readonly jitter: Jitter | null;
    readonly arealGsm: number;
    readonly patchMm: number;
  },
): number => {
  const { rowMm, wispMm } = pitchOf(hand, of, of.arealGsm);
  const { placeMm = 0, turnDeg = 0 } = of.jitter ?? {};
  const turn = (turnDeg * Math.PI) / 180;
  const half = hand.lengthMm / 2;
  const lengths = Array.from({ length: STEPS }, (_, i) => -half + ((i + 0.5) * hand.lengthMm) / STEPS);
  const weigh = (power: number): number =>
    lengths.reduce((sum, s) => sum + (s ** power * along(hand.lengthMm, s) * hand.lengthMm) / STEPS, 0);
  const spreadAlong = weigh(2) - weigh(1) ** 2;
  const blur = {
    along: placeMm ** 2 + (turn ** 2 * hand.widthMm ** 2) / 20,
    across: placeMm ** 2 + turn ** 2 * spreadAlong,
  };
  const t = spectrum(s => along(hand.lengthMm, s), half);
  const c = spectrum(v => across(hand.widthMm, v), hand.widthMm / 2);
  const patch = (k: number): number => sinc((k * of.patchMm) / 2) ** 2;
  const integral = (f: (k: number) => number, b2: number): number => {
    // Beyond this the patch has averaged all away.
    const most = (40 * Math.PI) / of.patchMm;
    const n = 2400;
    const dk = most / n;
    return (
      Array.from({ length: n }, (_, i) => (i + 0.5) * dk).reduce(
        (sum, k) => sum + f(k) * Math.exp(-k * k * b2) * patch(k) * dk,
        0,
      ) / Math.PI
    );
  };
  const sum = (f: (k: number) => number, b2: number, pitch: number): number => {
    let all = 1;
    for (let n = 1; n <= 60; n += 1) {
      const k = (2 * Math.PI * n) / pitch;
      all += 2 * f(k) * Math.exp(-k * k * b2) * patch(k);
    }
    return all;
  };
  const [x0, y0] = [integral(t, 0), integral(c, 0)];
  const perMm2 = 1 / (rowMm * wispMm);
  const own = (1 + hand.unequal ** 2) * x0 * y0;
  if (of.jitter === null) return Math.sqrt(own / perMm2);
  const chance = (own - integral(t, blur.along) * integral(c, blur.across)) / perMm2;
  const lattice = sum(t, blur.along, rowMm) * sum(c, blur.across, wispMm) - 1;
  return Math.sqrt(Math.max(0, chance + lattice));
};
