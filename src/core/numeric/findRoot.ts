import { ROOT_RELATIVE } from '../tolerances';

/**
 * Root of a monotone function on [low, high]: false position with the Illinois correction, halving when it stalls.
 * @param f continuous, monotone; may be increasing or decreasing
 * @param residualTolerance size of f that counts as nothing
 * @returns the root, or null when f has the same sign at both ends or is not finite there
 * @example findRoot(x => x * x - 2, { low: 0, high: 2 }) // 1.4142135623…
 */
export const findRoot = (
  f: (x: number) => number,
  range: { low: number; high: number },
  residualTolerance = ROOT_RELATIVE,
): number | null => {
  let { low: a, high: b } = range;
  let fa = f(a);
  let fb = f(b);
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!Number.isFinite(fa) || !Number.isFinite(fb) || Math.sign(fa) === Math.sign(fb)) return null;
  let kept: 'a' | 'b' | null = null;
  for (let i = 0; i < 200; i += 1) {
    const slope = (fb - fa) / (b - a);
    const guess = i > 12 && i % 2 === 1 ? (a + b) / 2 : b - fb / slope;
    const x = guess > Math.min(a, b) && guess < Math.max(a, b) ? guess : (a + b) / 2;
    const fx = f(x);
    if (!Number.isFinite(fx)) return null;
    if (fx === 0 || Math.abs(fx) < residualTolerance) return x;
    if (Math.abs(b - a) <= ROOT_RELATIVE * Math.max(1e-12, Math.abs(x))) return x;
    if (Math.sign(fx) === Math.sign(fa)) {
      a = x;
      fa = fx;
      if (kept === 'b') fb /= 2;
      kept = 'b';
    } else {
      b = x;
      fb = fx;
      if (kept === 'a') fa /= 2;
      kept = 'a';
    }
  }
  return (a + b) / 2;
};

/** Steps of a search from nearby before the whole range is searched. */
const STEPS_NEARBY = 12;
/** The first step of such a search, as a share of the range, where the guess of the slope would lead out of it. */
const FIRST_STEP = 0.1;

/**
 * The same root, looked for from a guess by secants first: where each value is dear, few are asked for.
 * @param near a guess within the range and about how steep f is there
 * @returns as `findRoot`, which it falls back to
 */
export const findRootNear = (
  f: (x: number) => number,
  range: { readonly low: number; readonly high: number; readonly near: number; readonly slope: number },
  residualTolerance = ROOT_RELATIVE,
): number | null => {
  const { low, high, near } = range;
  const isWithin = (x: number): boolean => x >= low && x <= high;
  let x = near;
  let fx = f(x);
  let slope = range.slope;
  for (let i = 0; i < STEPS_NEARBY && Number.isFinite(fx); i += 1) {
    if (Math.abs(fx) < residualTolerance) return x;
    const guess = x - fx / slope;
    const next = isWithin(guess)
      ? guess
      : i === 0
        ? x - Math.sign(fx / slope) * FIRST_STEP * (high - low)
        : guess;
    if (!isWithin(next) || next === x) break;
    const after = f(next);
    slope = (after - fx) / (next - x);
    x = next;
    fx = after;
  }
  return findRoot(f, range, residualTolerance);
};
