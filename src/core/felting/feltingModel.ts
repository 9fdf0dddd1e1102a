/**
 * How a felt shrinks under work: one homogeneous deformation of the whole piece, driven by a work tensor in the piece's own
 * frame. Source: docs/model-notes.md, the felting model; its figures come from simulation and common practice, no felt was
 * measured for them.
 */

/** What a piece does under work: what is not known of it beforehand, and is learnt from its measurings. */
export interface FeltParameters {
  /** Logarithm of length that is lost at the limit, > 0. */
  readonly limit: number;
  /** Work at which half of the limit is reached, reference rolls, > 0. */
  readonly halfWork: number;
  /** How late it begins: near 0 it shrinks at once, near 1 little happens in the first hundred. */
  readonly lag: number;
  /** Share of a directional roll that shortens its own direction, ½ to 1. */
  readonly share: number;
  /** How much more readily it shrinks along than across, as a logarithm. */
  readonly bias: number;
  /** Share of the half work in which nothing happens at all, in a felt that waits; 0 in one that starts gently. */
  readonly delay: number;
}

/** The five parameters in the order in which they are written as a vector of numbers without bounds. */
export const PARAMETERS = 5;

/**
 * Some felts wait: nothing happens for this part of the lag, and then it goes straight on. How many do is common practice, no
 * more: what is measured tells.
 */
export const WAITS = { part: 0.3, share: 0.2 } as const;

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
const logit = (p: number): number => Math.log(p / (1 - p));

/** From [log E, log h, logit ρ, logit(2a − 1), b], each without bounds. */
export const parametersOf = (eta: ArrayLike<number>, waits = false): FeltParameters => ({
  limit: Math.exp(eta[0] ?? 0),
  halfWork: Math.exp(eta[1] ?? 0),
  lag: logistic(eta[2] ?? 0),
  delay: waits ? WAITS.part * logistic(eta[2] ?? 0) : 0,
  share: (1 + logistic(eta[3] ?? 0)) / 2,
  bias: eta[4] ?? 0,
});

/** The way back. */
export const parameterVector = (p: FeltParameters): readonly number[] => [
  Math.log(p.limit),
  Math.log(p.halfWork),
  logit(p.lag),
  logit(2 * p.share - 1),
  p.bias,
];

/** What is believed of the five before a piece is measured: means, and their covariance, row by row. */
export interface Prior {
  readonly mean: readonly number[];
  readonly covariance: ReadonlyArray<readonly number[]>;
}

const diagonal = (sd: readonly number[]): ReadonlyArray<readonly number[]> =>
  sd.map((s, i) => sd.map((_, j) => (i === j ? s * s : 0)));

/**
 * General practice: log E, log h, logit ρ, logit(2a − 1), b, independent. Balanced rolls bring 3 ± 2 % at 100, 9 ± 5 at 200,
 * 21 ± 8 at 400, 30 ± 9 at 600, 36 ± 8 at 800, 43 ± 6 at 1500. From simulation and common practice.
 */
export const GENERAL_PRIOR: Prior = {
  mean: [Math.log(0.6), Math.log(255), 0.6, 0.6, 0],
  covariance: diagonal([0.17, 0.35, 0.9, 0.6, 0.08]),
};

/** A sphere shrinks alike every way: nothing is to be learnt of a bias. */
export const withoutBias = ({ mean, covariance }: Prior): Prior => ({
  mean: mean.map((m, i) => (i === 4 ? 0 : m)),
  covariance: covariance.map((row, i) => row.map((v, j) => (i === 4 || j === 4 ? (i === j ? 1e-12 : 0) : v))),
});

/** How measurings scatter and work drifts. */
export const FELTING = {
  /** Deviation of a reading, of the logarithm of length. */
  readingSd: 0.015,
  /** Share of readings that are blunders, and how many times as far out those lie. */
  blunders: 0.05,
  blunderScale: 4,
  /** Deviation of the vigour of the work from one measuring to the next, as a logarithm, after so much work. */
  driftSd: 0.2,
  driftFull: 200,
  /** Deviation of a start where the laid edge is fuzzy, of the logarithm of length. */
  startSd: 0.015,
} as const;

/** Work between two measurings: directional and free, in reference rolls, and the tensor of the directional. */
export interface FeltingWork {
  readonly directional: number;
  readonly free: number;
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
  /** Variance of its rolls, where a count was guessed. */
  readonly guessed: number;
}

export const NO_WORK: FeltingWork = { directional: 0, free: 0, xx: 0, xy: 0, yy: 0, guessed: 0 };

/**
 * Adds an act to the work.
 * @param rolls reference rolls: how many times it is done, times its intensity, ≥ 0
 * @param directionDeg the direction that shortens, degrees from along; null where the act has none
 */
export const addWork = (work: FeltingWork, rolls: number, directionDeg: number | null): FeltingWork => {
  if (directionDeg === null) return { ...work, free: work.free + rolls };
  const angle = (directionDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return {
    directional: work.directional + rolls,
    free: work.free,
    xx: work.xx + rolls * c * c,
    xy: work.xy + rolls * c * s,
    yy: work.yy + rolls * s * s,
    guessed: work.guessed,
  };
};

/** Two works one after the other, the vigour of the hands being the same. */
export const sumWork = (a: FeltingWork, b: FeltingWork): FeltingWork => ({
  directional: a.directional + b.directional,
  free: a.free + b.free,
  xx: a.xx + b.xx,
  xy: a.xy + b.xy,
  yy: a.yy + b.yy,
  guessed: a.guessed + b.guessed,
});

/** Reference rolls, half along and half across. */
export const balancedWork = (rolls: number): FeltingWork =>
  addWork(addWork(NO_WORK, rolls / 2, 0), rolls / 2, 90);

/** A work of which so many rolls are known only within a deviation. */
export const guessedWork = (work: FeltingWork, sd: number): FeltingWork => ({
  ...work,
  guessed: work.guessed + sd * sd,
});

/** How much a work may differ from what was counted, as a deviation of its logarithm; 0 where all was counted. */
export const guessSd = (work: FeltingWork): number => {
  const rolls = work.directional + work.free;
  return rolls > 0 ? Math.min(1, Math.sqrt(work.guessed) / rolls) : 0;
};

/** Deviation of the drift over a work: less after little of it. */
export const driftSd = (work: FeltingWork): number =>
  FELTING.driftSd * Math.min(1, Math.sqrt((work.directional + work.free) / FELTING.driftFull));

/** A symmetric tensor in the piece's frame, 0° first. */
export interface Tensor {
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

export const ZERO: Tensor = { xx: 0, xy: 0, yy: 0 };

/** A tensor that is grown in place: the same one for a whole walk through a log. */
export type MutableTensor = { -readonly [K in keyof Tensor]: Tensor[K] };

/**
 * Grows a tensor by a work at a vigour μ: μ{[(1 − a)R + F/2]I + (2a − 1)D}. In place, since it is done a hundred thousand times
 * for one answer.
 * @param push.share a, ½ to 1  @param push.vigour μ, > 0
 */
export const growInPlace = (
  tensor: MutableTensor,
  work: FeltingWork,
  push: { readonly share: number; readonly vigour: number },
): void => {
  const { share, vigour } = push;
  const even = (1 - share) * work.directional + work.free / 2;
  const own = 2 * share - 1;
  tensor.xx += vigour * (even + own * work.xx);
  tensor.xy += vigour * own * work.xy;
  tensor.yy += vigour * (even + own * work.yy);
};

/** The tensor grown by a work, the one before left as it was. */
export const grow = (
  tensor: Tensor,
  work: FeltingWork,
  push: { readonly share: number; readonly vigour: number },
): Tensor => {
  const grown = { ...tensor };
  growInPlace(grown, work, push);
  return grown;
};

/** Squared stretch as it goes round: A + B cos 2φ + C sin 2φ is (L/L₀)² along φ. */
export interface SquaredStretch {
  readonly mean: number;
  readonly cos: number;
  readonly sin: number;
}

const LN2 = Math.LN2;

/**
 * f(λ) = E(1 − e^(−g)), g = ln2·v²/(ρ + (1 − ρ)v), v = λ/h: the logarithm of length lost along a principal line. A felt that
 * waits does nothing at all for a part of its lag, then goes straight on: g = ln2·(v − d)/(1 − d), d the delay, from the same h.
 */
export const logLoss = (lambda: number, { limit, halfWork, lag, delay }: FeltParameters): number => {
  const v = Math.max(0, lambda) / halfWork;
  if (delay > 0) return v <= delay ? 0 : limit * (1 - Math.exp((-LN2 * (v - delay)) / (1 - delay)));
  return limit * (1 - Math.exp((-LN2 * v * v) / (lag + (1 - lag) * v || 1)));
};

/** Below this the two principal works are one, and so are their stretches. */
const ROUND = 1e-12;

/** A stretch that is written anew in place. */
export type MutableStretch = { -readonly [K in keyof SquaredStretch]: SquaredStretch[K] };

/**
 * Writes the stretch that a work tensor brings.
 * @param tilt exp of the bias: the same for a whole walk through a log
 */
export const stretchInto = (
  tensor: Tensor,
  { parameters: p, tilt }: { readonly parameters: FeltParameters; readonly tilt: number },
  into: MutableStretch,
): void => {
  const w11 = tensor.xx * tilt;
  const w22 = tensor.yy / tilt;
  const w12 = tensor.xy;
  const t = (w11 + w22) / 2;
  const s = (w11 - w22) / 2;
  // Not Math.hypot, which is slow; nothing here overflows.
  const r = Math.sqrt(s * s + w12 * w12);
  const g1 = Math.exp(-2 * logLoss(t + r, p));
  into.mean = g1;
  into.cos = 0;
  into.sin = 0;
  if (r < ROUND * (1 + t)) return;
  const g2 = Math.exp(-2 * logLoss(t - r, p));
  const half = (g1 - g2) / (2 * r);
  into.mean = (g1 + g2) / 2;
  into.cos = half * s;
  into.sin = half * w12;
};

/** The stretch that a work tensor brings. */
export const stretchOf = (tensor: Tensor, p: FeltParameters): SquaredStretch => {
  const stretch = { mean: 1, cos: 0, sin: 0 };
  stretchInto(tensor, { parameters: p, tilt: Math.exp(p.bias) }, stretch);
  return stretch;
};

/** A direction as the stretch needs it. */
export interface LineDirection {
  readonly cos2: number;
  readonly sin2: number;
}

/** @param directionDeg degrees from along */
export const lineAt = (directionDeg: number): LineDirection => ({
  cos2: Math.cos((2 * directionDeg * Math.PI) / 180),
  sin2: Math.sin((2 * directionDeg * Math.PI) / 180),
});

/** log(L/L₀) along a line; ≤ 0 for any work. */
export const logLength = (stretch: SquaredStretch, line: LineDirection): number =>
  Math.log(stretch.mean + stretch.cos * line.cos2 + stretch.sin * line.sin2) / 2;
