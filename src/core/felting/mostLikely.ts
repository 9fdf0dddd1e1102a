import { Matrix, solve } from 'ml-matrix';
import { FELTING } from './feltingModel';
import { logLikelihood, type LikelihoodProblem } from './likelihood';

const { blunders, blunderScale } = FELTING;

/** How much a reading that lies z deviations off still counts, beside one that is sound beyond doubt. */
const trust = (z: number): number => {
  const sound = (1 - blunders) * Math.exp((-z * z) / 2);
  const odd = (blunders / blunderScale) * Math.exp((-z * z) / (2 * blunderScale ** 2));
  return sound + odd > 0 ? (sound + odd / blunderScale ** 2) / (sound + odd) : 1 / blunderScale ** 2;
};

const DIFFERENCE = 1e-5;

/** Residuals widened by a factor, with how fast each grows with each unknown, every row weighed by its trust. */
export const linearised = (
  problem: LikelihoodProblem,
  x: Float64Array,
  wider: number,
): { r: Matrix; j: Matrix } => {
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
export const information = (j: Matrix): Matrix => j.transpose().mmul(j).add(Matrix.eye(j.columns));

/** Levenberg–Marquardt towards the most likely values; `wider` blurs the readings, so that a far start does not lock in. */
export const climb = (problem: LikelihoodProblem, start: Float64Array, wider: number): Float64Array => {
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
