import { Matrix, solve } from 'ml-matrix';

/** A sum of squares that was made small. */
export interface LeastSquares {
  readonly x: Float64Array;
  readonly cost: number;
  /** How fast each residual grows with each unknown, at the end. */
  readonly jacobian: Matrix;
}

/** Differences by which slopes are taken, of unknowns that are scaled to about 1. */
const STEP = 1e-5;

const costOf = (r: Float64Array): number => r.reduce((sum, v) => sum + v * v, 0);

const slopes = (residuals: (x: Float64Array) => Float64Array, x: Float64Array, at: Float64Array): Matrix => {
  const j = Matrix.zeros(at.length, x.length);
  const moved = Float64Array.from(x);
  for (let d = 0; d < x.length; d += 1) {
    moved[d] = (x[d] ?? 0) + STEP;
    const there = residuals(moved);
    moved[d] = x[d] ?? 0;
    for (let i = 0; i < at.length; i += 1) j.set(i, d, ((there[i] ?? 0) - (at[i] ?? 0)) / STEP);
  }
  return j;
};

/**
 * Makes the sum of squared residuals small by Levenberg and Marquardt’s method.
 * @param start unknowns, each scaled so that 1 is a large step of it  @param rounds the most steps
 */
export const leastSquares = (
  residuals: (x: Float64Array) => Float64Array,
  start: readonly number[],
  rounds = 30,
): LeastSquares => {
  let x = Float64Array.from(start);
  let at = residuals(x);
  let cost = costOf(at);
  let damping = 1e-3;
  let jacobian = slopes(residuals, x, at);
  for (let round = 0; round < rounds; round += 1) {
    const jt = jacobian.transpose();
    const normal = jt.mmul(jacobian);
    const gradient = jt.mmul(Matrix.columnVector(Array.from(at)));
    let gained = -1;
    for (let tries = 0; tries < 8 && gained < 0; tries += 1) {
      const damped = normal.clone();
      for (let d = 0; d < x.length; d += 1) damped.set(d, d, damped.get(d, d) * (1 + damping) + 1e-12);
      const by = solve(damped, gradient).to1DArray();
      const next = Float64Array.from(x, (v, i) => v - (by[i] ?? 0));
      const there = residuals(next);
      const nextCost = costOf(there);
      if (nextCost < cost) {
        gained = cost - nextCost;
        [x, at, cost] = [next, there, nextCost];
        damping /= 6;
      } else damping *= 8;
    }
    if (gained < 0) break;
    jacobian = slopes(residuals, x, at);
    if (gained < 1e-9 * (1 + cost)) break;
  }
  return { x, cost, jacobian };
};
