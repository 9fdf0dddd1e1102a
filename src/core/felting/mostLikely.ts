import { Matrix, solve } from 'ml-matrix';
import type { LikelihoodProblem } from './likelihood';
import { logLikelihood, trust } from './readings';

const DIFFERENCE = 1e-5;

/** What readings and prior say near a point: half the slope of −2 log, and the information, of deviations widened by a factor. */
interface Near {
  readonly slope: Matrix;
  readonly information: Matrix;
}

/** By differences, every reading weighed by its trust. */
export const nearTo = (problem: LikelihoodProblem, x: Float64Array, wider: number): Near => {
  const [d, at] = [x.length, problem.residuals(x)];
  const n = at.length;
  const weights = Float64Array.from(at, z => Math.sqrt(trust(z / wider)) / wider);
  const off = Float64Array.from(at, (z, i) => z * (weights[i] ?? 0));
  const [moved, there] = [Float64Array.from(x), new Float64Array(n)];
  /** How fast each deviation grows with each unknown, one unknown after the other. */
  const growth = new Float64Array(d * n);
  for (let a = 0; a < d; a += 1) {
    moved[a] = (x[a] ?? 0) + DIFFERENCE;
    problem.residuals(moved, there);
    moved[a] = x[a] ?? 0;
    for (let i = 0; i < n; i += 1)
      growth[a * n + i] = (((there[i] ?? 0) - (at[i] ?? 0)) / DIFFERENCE) * (weights[i] ?? 0);
  }
  const product = (a: number, row: ArrayLike<number>, from: number): number => {
    let sum = 0;
    for (let i = 0; i < n; i += 1) sum += (growth[a * n + i] ?? 0) * (row[from + i] ?? 0);
    return sum;
  };
  const information = Matrix.eye(d);
  const slope = Matrix.columnVector(Array.from(x, (v, a) => v + product(a, off, 0)));
  for (let a = 0; a < d; a += 1)
    for (let b = 0; b <= a; b += 1) {
      const sum = product(a, growth, b * n);
      information.set(a, b, information.get(a, b) + sum);
      if (b < a) information.set(b, a, sum);
    }
  return { slope, information };
};

const STEPS = 12;
/** Of what is lost; the draws set out from there and find the rest. */
const SETTLED = 1e-2;

/** Levenberg–Marquardt towards the most likely values; `wider` blurs the readings, so that a far start does not lock in. */
export const climb = (problem: LikelihoodProblem, start: Float64Array, wider: number): Float64Array => {
  const off = problem.residuals(start);
  const cost = (x: Float64Array): number => {
    problem.residuals(x, off);
    for (let i = 0; i < off.length; i += 1) off[i] = (off[i] ?? 0) / wider;
    let sum = -2 * logLikelihood(off);
    for (const v of x) sum += v * v;
    return sum;
  };
  let x = start;
  let best = cost(x);
  let damping = 1e-2;
  for (let step = 0; step < STEPS; step += 1) {
    const { slope, information } = nearTo(problem, x, wider);
    let moved = false;
    /** What stands on the diagonal beside the information. */
    let damped = 0;
    for (let tries = 0; tries < 6 && !moved; tries += 1) {
      for (let i = 0; i < x.length; i += 1) information.set(i, i, information.get(i, i) + damping - damped);
      damped = damping;
      const by = solve(information, slope).to1DArray();
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
