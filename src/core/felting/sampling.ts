import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { LikelihoodProblem, Particle } from './likelihood';
import { evenPoints, normalQuantile } from './lowDiscrepancy';

/** Mean and covariance of a normal law. */
export interface NormalMoments {
  readonly mean: Float64Array;
  readonly covariance: Matrix;
}

/** A normal law in the whitened space: its middle, and the lower triangular root of its covariance, row by row. */
interface Normal {
  readonly mean: Float64Array;
  readonly root: Float64Array;
  readonly logDet: number;
}

export const normalOf = ({ mean, covariance }: NormalMoments): Normal => {
  const d = mean.length;
  const even = Matrix.zeros(d, d);
  for (let i = 0; i < d; i += 1)
    for (let j = 0; j < d; j += 1) even.set(i, j, (covariance.get(i, j) + covariance.get(j, i)) / 2);
  for (let jitter = 0; ; jitter = Math.max(1e-9, 9 * jitter)) {
    for (let i = 0; i < d; i += 1) even.set(i, i, even.get(i, i) + jitter);
    const cholesky = new CholeskyDecomposition(even);
    if (!cholesky.isPositiveDefinite()) continue;
    const lower = cholesky.lowerTriangularMatrix;
    const logDet = lower.diagonal().reduce((sum, v) => sum + Math.log(v), 0);
    return { mean, root: Float64Array.from(lower.to1DArray()), logDet };
  }
};

/** Proposals: the normal at three widths, and the prior for what it may have missed. */
const SCALES = [1, 1.25, 1.8] as const;
const SHARES = [0.5, 0.33, 0.12] as const;
const PRIOR_SHARE = 0.05;
/** With more unknowns than these the widths are drawn in: beyond them a wide one is nearly all far out. */
const FEW = 7;

/** The widths for so many unknowns, and how high each stands at its middle, no constants common to all. */
interface Proposals {
  readonly scales: readonly number[];
  readonly heights: readonly number[];
}
const proposalsOf = (d: number): Proposals => {
  const scales = SCALES.map(scale => 1 + (scale - 1) * Math.sqrt(FEW / Math.max(FEW, d)));
  return { scales, heights: scales.map((scale, s) => (SHARES[s] ?? 0) / scale ** d) };
};

/** Squared distance of a point from the middle of a law, in deviations, which are written into `u`: for points that another law was asked for. */
const squaredOff = ({ mean, root }: Normal, x: Float64Array, u: Float64Array): number => {
  const d = x.length;
  let own = 0;
  for (let i = 0; i < d; i += 1) {
    let left = (x[i] ?? 0) - (mean[i] ?? 0);
    for (let j = 0; j < i; j += 1) left -= (root[i * d + j] ?? 0) * (u[j] ?? 0);
    left /= root[i * d + i] ?? 1;
    u[i] = left;
    own += left * left;
  }
  return own;
};

/**
 * Log-density of the proposals at a point, no constants common to all.
 * @param of.own squared distance from the middle of the law, in its deviations  @param of.square the same of the prior
 */
const logProposal = (of: { own: number; square: number; logDet: number; proposals: Proposals }): number => {
  const { own, square, logDet, proposals } = of;
  const { scales, heights } = proposals;
  // Each beside the widest of the three, which is never far below the others.
  const widest = own / (2 * (scales[2] ?? 1) ** 2);
  let sum = heights[2] ?? 0;
  for (let s = 0; s < 2; s += 1) {
    const scale = scales[s] ?? 1;
    sum += (heights[s] ?? 0) * Math.exp(widest - own / (2 * scale * scale));
  }
  const near = Math.log(sum) - widest - logDet;
  const far = Math.log(PRIOR_SHARE) - square / 2;
  return Math.max(near, far) + Math.log1p(Math.exp(-Math.abs(near - far)));
};

export interface PosteriorDraws {
  /** One point after the other. */
  readonly points: Float64Array;
  /** Of each point, where it was asked for. */
  readonly particles: readonly Particle[];
  readonly weights: Float64Array;
  readonly drifts: Float64Array;
  readonly effective: number;
  /** Logarithm of how likely the readings are under the problem, but for a constant that all problems of a piece share. */
  readonly logEvidence: number;
}

/** Which of the proposals a point comes from: −1 is the prior. */
const proposalAt = (pick: number): number => {
  let edge = PRIOR_SHARE;
  if (pick < edge) return -1;
  for (let s = 0; s < SHARES.length; s += 1) {
    edge += SHARES[s] ?? 0;
    if (pick < edge) return s;
  }
  return SHARES.length - 1;
};

/** A point of a normal law, from standard normal deviates, written into the array of a place. */
const writePoint = (
  { mean, root }: Normal,
  u: Float64Array,
  at: { readonly from: number; readonly scale: number; x: Float64Array },
): void => {
  const d = mean.length;
  const { from, scale, x } = at;
  for (let i = 0; i < d; i += 1) {
    let value = 0;
    for (let j = 0; j <= i; j += 1) value += (root[i * d + j] ?? 0) * (u[from + j] ?? 0);
    x[i] = (mean[i] ?? 0) + scale * value;
  }
};

/**
 * Standard normal deviates of the evenly spread points, one point after the other, with the deviate of the drift and the number
 * that picks the proposal behind each. They are the same at every call, so those of the last problem are kept.
 */
const deviatesOf = (dimensions: number, count: number): Float64Array => {
  if (kept.dimensions === dimensions && kept.deviates.length >= count * (dimensions + 2))
    return kept.deviates;
  const width = dimensions + 2;
  const even = evenPoints(width);
  const uniform = new Float64Array(width);
  const deviates = new Float64Array(count * width);
  for (let n = 0; n < count; n += 1) {
    even(n, uniform);
    for (let i = 0; i <= dimensions; i += 1) deviates[n * width + i] = normalQuantile(uniform[i] ?? 0.5);
    deviates[n * width + dimensions + 1] = uniform[dimensions + 1] ?? 0;
  }
  kept = { dimensions, deviates };
  return deviates;
};
let kept = { dimensions: 0, deviates: new Float64Array(0) };

/** Sum of the squares of so many numbers of a row. */
const lengthOf = (row: Float64Array, from: number, count: number): number => {
  let sum = 0;
  for (let i = from; i < from + count; i += 1) sum += (row[i] ?? 0) ** 2;
  return sum;
};

/** Draws points from the proposals, evenly, and weighs each by what the readings say of it. */
export const draw = (
  problem: LikelihoodProblem,
  law: Normal,
  { count, withParticles }: { readonly count: number; readonly withParticles: boolean },
): PosteriorDraws => {
  const d = problem.dimensions;
  const deviates = deviatesOf(d, count);
  const [x, u] = [new Float64Array(d), new Float64Array(d)];
  const proposals = proposalsOf(d);
  const points = new Float64Array(count * d);
  const particles: Particle[] = [];
  const weights = new Float64Array(count);
  const drifts = new Float64Array(count);
  const proposed = { own: 0, square: 0, logDet: law.logDet, proposals };
  let top = Number.NEGATIVE_INFINITY;
  for (let n = 0; n < count; n += 1) {
    const from = n * (d + 2);
    drifts[n] = deviates[from + d] ?? 0;
    const s = proposalAt(deviates[from + d + 1] ?? 0);
    const scale = proposals.scales[s] ?? 1;
    if (s < 0) for (let i = 0; i < d; i += 1) x[i] = deviates[from + i] ?? 0;
    else writePoint(law, deviates, { from, scale, x });
    for (let i = 0; i < d; i += 1) points[n * d + i] = x[i] ?? 0;
    const value = problem.logPosterior(x);
    if (withParticles) particles.push(problem.particleOf(x));
    // A point of the law itself lies as far off as its own deviates say.
    proposed.own = s < 0 ? squaredOff(law, x, u) : scale * scale * lengthOf(deviates, from, d);
    proposed.square = lengthOf(x, 0, d);
    weights[n] = value - logProposal(proposed);
    top = Math.max(top, weights[n] ?? top);
  }
  let sum = 0;
  for (let n = 0; n < count; n += 1) {
    weights[n] = Math.exp((weights[n] ?? top) - top);
    sum += weights[n] ?? 0;
  }
  let squares = 0;
  for (let n = 0; n < count; n += 1) {
    weights[n] = (weights[n] ?? 0) / sum;
    squares += (weights[n] ?? 0) ** 2;
  }
  return {
    points,
    particles,
    weights,
    drifts,
    effective: 1 / squares,
    logEvidence: top + Math.log(sum / count),
  };
};

/** The normal law of weighted points; of few that count, it stays near the law before it. */
export const refit = (
  { points, weights, effective }: PosteriorDraws,
  before: NormalMoments,
): NormalMoments => {
  const d = before.mean.length;
  const mean = new Float64Array(d);
  for (let n = 0; n < weights.length; n += 1)
    for (let i = 0; i < d; i += 1) mean[i] = (mean[i] ?? 0) + (weights[n] ?? 0) * (points[n * d + i] ?? 0);
  const lower = new Float64Array(d * d);
  const off = new Float64Array(d);
  for (let n = 0; n < weights.length; n += 1) {
    const w = weights[n] ?? 0;
    if (w < 1e-9) continue;
    for (let i = 0; i < d; i += 1) off[i] = (points[n * d + i] ?? 0) - (mean[i] ?? 0);
    for (let i = 0; i < d; i += 1)
      for (let j = 0; j <= i; j += 1)
        lower[i * d + j] = (lower[i * d + j] ?? 0) + w * (off[i] ?? 0) * (off[j] ?? 0);
  }
  const covariance = Matrix.zeros(d, d);
  for (let i = 0; i < d; i += 1)
    for (let j = 0; j < d; j += 1) covariance.set(i, j, lower[Math.max(i, j) * d + Math.min(i, j)] ?? 0);
  const learnt = effective / (effective + 3 * d);
  return {
    mean: mean.map((m, i) => learnt * m + (1 - learnt) * (before.mean[i] ?? 0)),
    covariance: covariance.mul(learnt).add(before.covariance.clone().mul(1 - learnt)),
  };
};

/**
 * Which of weighted things to take so that so many of equal weight stand for all. Source: systematic resampling.
 * @param weights summing to 1
 */
export const evenly = (weights: Float64Array, count: number): readonly number[] => {
  const found: number[] = [];
  let sum = 0;
  for (let n = 0; n < weights.length; n += 1) {
    sum += weights[n] ?? 0;
    while (found.length < count && (found.length + 0.5) / count <= sum) found.push(n);
  }
  return found;
};
