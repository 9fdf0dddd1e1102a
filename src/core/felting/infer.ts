import { CholeskyDecomposition, inverse, Matrix, solve } from 'ml-matrix';
import { FELTING } from './feltingModel';
import { evenPoints, normalQuantile } from './lowDiscrepancy';
import {
  blunderChance,
  type FeltingRecord,
  logLikelihood,
  type LikelihoodProblem,
  likelihoodProblem,
  type Particle,
} from './likelihood';

/** What is known of a piece after its measurings: worlds, each with its weight; the weights sum to 1. */
export interface Posterior {
  readonly particles: readonly Particle[];
  readonly weights: Float64Array;
  /** Standard normal deviates for what is still to come: the drift of the next interval, one to a world. */
  readonly drifts: Float64Array;
  /** How many worlds of equal weight would say as much. */
  readonly effective: number;
  /** Of each reading, in the order of the log, the chance that it was a blunder. */
  readonly doubts: ReadonlyArray<{
    readonly interval: number;
    readonly gauge: number;
    readonly chance: number;
  }>;
}

const { blunders, blunderScale } = FELTING;

/** How much a reading that lies z deviations off still counts, beside one that is sound beyond doubt. */
const trust = (z: number): number => {
  const sound = (1 - blunders) * Math.exp((-z * z) / 2);
  const odd = (blunders / blunderScale) * Math.exp((-z * z) / (2 * blunderScale ** 2));
  return sound + odd > 0 ? (sound + odd / blunderScale ** 2) / (sound + odd) : 1 / blunderScale ** 2;
};

const DIFFERENCE = 1e-5;

/** Residuals widened by a factor, with how fast each grows with each unknown, every row weighed by its trust. */
const linearised = (problem: LikelihoodProblem, x: Float64Array, wider: number): { r: Matrix; j: Matrix } => {
  const at = problem.residuals(x);
  const weights = Float64Array.from(at, z => Math.sqrt(trust(z / wider)) / wider);
  const j = Matrix.zeros(at.length, x.length);
  const moved = Float64Array.from(x);
  for (let d = 0; d < x.length; d += 1) {
    moved[d] = (x[d] ?? 0) + DIFFERENCE;
    const there = problem.residuals(moved);
    moved[d] = x[d] ?? 0;
    for (let i = 0; i < at.length; i += 1)
      j.set(i, d, (((there[i] ?? 0) - (at[i] ?? 0)) / DIFFERENCE) * (weights[i] ?? 0));
  }
  return { r: Matrix.columnVector(Array.from(at, (z, i) => z * (weights[i] ?? 0))), j };
};

const STEPS = 12;
const SETTLED = 1e-4;

/** Information that the readings and the prior carry at a point. */
const information = (j: Matrix): Matrix => j.transpose().mmul(j).add(Matrix.eye(j.columns));

/** Levenberg–Marquardt towards the most likely values; `wider` blurs the readings, so that a far start does not lock in. */
const climb = (problem: LikelihoodProblem, start: Float64Array, wider: number): Float64Array => {
  const cost = (x: Float64Array): number => {
    let sum = -2 * logLikelihood(problem.residuals(x).map(z => z / wider));
    for (const v of x) sum += v * v;
    return sum;
  };
  let x = start;
  let best = cost(x);
  let damping = 1e-2;
  for (let step = 0; step < STEPS; step += 1) {
    const { r, j } = linearised(problem, x, wider);
    const gradient = j
      .transpose()
      .mmul(r)
      .add(Matrix.columnVector(Array.from(x)));
    const normal = information(j);
    let moved = false;
    for (let tries = 0; tries < 6 && !moved; tries += 1) {
      const damped = normal.clone().add(Matrix.eye(x.length).mul(damping));
      const by = solve(damped, gradient).to1DArray();
      const next = Float64Array.from(x, (v, i) => v - (by[i] ?? 0));
      const there = cost(next);
      if (there < best) {
        const gained = best - there;
        [x, best, moved] = [next, there, true];
        damping /= 5;
        if (gained < SETTLED) return x;
      } else damping *= 8;
    }
    if (!moved) return x;
  }
  return x;
};

/** A normal law in the whitened space: its middle, a root of its covariance, and that root turned round. */
interface Normal {
  readonly mean: Float64Array;
  readonly root: Float64Array;
  readonly inverseRoot: Float64Array;
  readonly logDet: number;
}

const flat = (m: Matrix): Float64Array => Float64Array.from(m.to1DArray());

const normalOf = (mean: Float64Array, covariance: Matrix): Normal => {
  const d = mean.length;
  const even = covariance.clone().add(covariance.transpose()).mul(0.5);
  let jitter = 0;
  for (;;) {
    const root = new CholeskyDecomposition(even.clone().add(Matrix.eye(d).mul(jitter)));
    if (root.isPositiveDefinite()) {
      const lower = root.lowerTriangularMatrix;
      let logDet = 0;
      for (let i = 0; i < d; i += 1) logDet += Math.log(lower.get(i, i));
      return { mean, root: flat(lower), inverseRoot: flat(inverse(lower)), logDet };
    }
    jitter = jitter === 0 ? 1e-9 : jitter * 10;
  }
};

/** Proposals: the normal at three widths, and the prior for what it may have missed. */
const SCALES = [1, 1.35, 2.2] as const;
const SHARES = [0.45, 0.315, 0.135] as const;
const PRIOR_SHARE = 0.1;

/** Log-density of the proposals at a point, no constants common to all. */
const logProposal = ({ mean, inverseRoot, logDet }: Normal, x: Float64Array): number => {
  const d = x.length;
  let own = 0;
  let square = 0;
  for (let i = 0; i < d; i += 1) {
    let u = 0;
    for (let j = 0; j <= i; j += 1) u += (inverseRoot[i * d + j] ?? 0) * ((x[j] ?? 0) - (mean[j] ?? 0));
    own += u * u;
    square += (x[i] ?? 0) ** 2;
  }
  // Each beside the widest of the three, which is never far below the others.
  const widest = own / (2 * SCALES[2] * SCALES[2]);
  let sum = 0;
  for (let s = 0; s < SCALES.length; s += 1) {
    const scale = SCALES[s] ?? 1;
    sum += ((SHARES[s] ?? 0) / scale ** d) * Math.exp(widest - own / (2 * scale * scale));
  }
  const near = Math.log(sum) - widest - logDet;
  const far = Math.log(PRIOR_SHARE) - square / 2;
  return Math.max(near, far) + Math.log1p(Math.exp(-Math.abs(near - far)));
};

interface PosteriorDraws {
  /** One point after the other. */
  readonly points: Float64Array;
  /** Of each point, where it was asked for. */
  readonly particles: readonly Particle[];
  readonly weights: Float64Array;
  readonly drifts: Float64Array;
  readonly effective: number;
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
  at: { readonly scale: number; x: Float64Array },
): void => {
  const d = mean.length;
  const { scale, x } = at;
  for (let i = 0; i < d; i += 1) {
    let value = 0;
    for (let j = 0; j <= i; j += 1) value += (root[i * d + j] ?? 0) * (u[j] ?? 0);
    x[i] = (mean[i] ?? 0) + scale * value;
  }
};

/** Draws points from the proposals, evenly, and weighs each by what the readings say of it. */
const draw = (
  problem: LikelihoodProblem,
  law: Normal,
  { count, withWorlds }: { readonly count: number; readonly withWorlds: boolean },
): PosteriorDraws => {
  const d = problem.dimensions;
  const even = evenPoints(d + 2);
  const uniform = new Float64Array(d + 2);
  const u = new Float64Array(d);
  const x = new Float64Array(d);
  const points = new Float64Array(count * d);
  const particles: Particle[] = [];
  const weights = new Float64Array(count);
  const drifts = new Float64Array(count);
  let top = Number.NEGATIVE_INFINITY;
  for (let n = 0; n < count; n += 1) {
    even(n, uniform);
    for (let i = 0; i < d; i += 1) u[i] = normalQuantile(uniform[i] ?? 0.5);
    drifts[n] = normalQuantile(uniform[d] ?? 0.5);
    const s = proposalAt(uniform[d + 1] ?? 0);
    if (s < 0) x.set(u);
    else writePoint(law, u, { scale: SCALES[s] ?? 1, x });
    points.set(x, n * d);
    const value = problem.logPosterior(x);
    if (withWorlds) particles.push(problem.worldOf(x));
    weights[n] = value - logProposal(law, x);
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
  return { points, particles, weights, drifts, effective: 1 / squares };
};

/** Mean and covariance of a normal law. */
interface NormalMoments {
  readonly mean: Float64Array;
  readonly covariance: Matrix;
}

/** The normal law of weighted points; of few that count, it stays near the law before it. */
const refit = ({ points, weights, effective }: PosteriorDraws, before: NormalMoments): NormalMoments => {
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

/** A chance to a hundredth or two is enough to doubt a reading by. */
const DOUBTERS = 500;

const doubtsOf = (problem: LikelihoodProblem, { points, weights }: PosteriorDraws): Posterior['doubts'] => {
  const chances = new Float64Array(problem.readings);
  const some = evenly(weights, DOUBTERS);
  const d = problem.dimensions;
  for (const n of some) {
    const off = problem.residuals(points.subarray(n * d, (n + 1) * d));
    for (let i = 0; i < off.length; i += 1) chances[i] = (chances[i] ?? 0) + blunderChance(off[i] ?? 0);
  }
  return problem.places.map((place, i) => ({ ...place, chance: (chances[i] ?? 0) / some.length }));
};

/** Points of the stages: two to learn the law from, and one to answer with. */
const STAGES = [400, 600] as const;
const POINTS = 3500;

/**
 * What the log of a piece says of it. Deterministic: the same log, the same answer.
 * Source: docs/model-notes.md: Levenberg–Marquardt to the most likely values in two passes, then adaptive importance sampling
 * with evenly spread points.
 * @param points how many the answer rests on; fewer are quicker and a little too sure
 */
export const infer = (record: FeltingRecord, points = POINTS): Posterior => {
  const problem = likelihoodProblem(record);
  const d = problem.dimensions;
  let law: NormalMoments = { mean: new Float64Array(d), covariance: Matrix.eye(d) };
  if (problem.readings > 0) {
    const near = climb(problem, climb(problem, new Float64Array(d), 3), 1);
    law = { mean: near, covariance: inverse(information(linearised(problem, near, 1).j)) };
    for (const count of STAGES)
      law = refit(draw(problem, normalOf(law.mean, law.covariance), { count, withWorlds: false }), law);
  }
  const drawn = draw(problem, normalOf(law.mean, law.covariance), { count: points, withWorlds: true });
  const { particles, weights, drifts, effective } = drawn;
  return { particles, weights, drifts, effective, doubts: doubtsOf(problem, drawn) };
};
