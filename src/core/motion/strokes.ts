import { STEP_MS } from './motion';

/** One way of a roll: forth or back. */
export interface Stroke {
  /** When it was fastest, ms. */
  readonly atMs: number;
  /** How fast, with its sign. */
  readonly peak: number;
}

/** A stroke begins beyond this share of a usual one: a trigger with two levels, so that a hump in it counts once. */
const LEVEL = 0.35;

/** How large strokes usually are, each way: the middle of the largest in each period. */
const usualPeaks = (signal: Float64Array, periodMs: number): readonly [number, number] => {
  const span = Math.max(2, Math.round(periodMs / STEP_MS));
  const [up, down]: [number[], number[]] = [[], []];
  for (let from = signal.length - span; from >= 0; from -= span) {
    const part = signal.subarray(from, from + span);
    up.push(part.reduce((a, b) => Math.max(a, b), 0));
    down.push(part.reduce((a, b) => Math.max(a, -b), 0));
  }
  const middle = (values: readonly number[]): number =>
    values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  return [middle(up), middle(down)];
};

/**
 * Strokes of a motion along its axis, in order: each from one trigger to the other. The last one is left out until it is over.
 * @param ends when each step of it ended, ms
 */
export const strokesOf = (
  signal: Float64Array,
  ends: readonly number[],
  periodMs: number,
): readonly Stroke[] => {
  const recent = signal.subarray(Math.max(0, signal.length - Math.round((4 * periodMs) / STEP_MS)));
  const [up, down] = usualPeaks(recent, periodMs);
  if (up <= 0 || down <= 0) return [];
  const strokes: Stroke[] = [];
  let side: -1 | 0 | 1 = 0;
  let best = { at: 0, peak: 0 };
  const close = (): void => {
    if (side !== 0) strokes.push({ atMs: ends[best.at] ?? 0, peak: best.peak });
  };
  for (let i = 0; i < signal.length; i += 1) {
    const v = signal[i] ?? 0;
    if (side !== 1 && v > LEVEL * up) {
      close();
      side = 1;
      best = { at: i, peak: v };
    } else if (side !== -1 && v < -LEVEL * down) {
      close();
      side = -1;
      best = { at: i, peak: v };
    } else if (side !== 0 && v * side > best.peak * side) best = { at: i, peak: v };
  }
  // One that has passed its height and come back to nothing is over.
  const last = signal.at(-1) ?? 0;
  if (side !== 0 && last * side <= 0) close();
  return strokes;
};

/** Strokes of one run follow one another within these shares of half a period, and are this large beside the usual one. */
const FOLLOWS = { least: 0.5, most: 1.65, size: 0.3 } as const;

/** The last strokes that belong together: back from the last one while they follow one another evenly. */
export const chainOf = (strokes: readonly Stroke[], periodMs: number): readonly Stroke[] => {
  const sizes = strokes
    .slice(-12)
    .map(s => Math.abs(s.peak))
    .toSorted((a, b) => a - b);
  const usual = sizes[Math.floor(sizes.length / 2)] ?? 0;
  const chain: Stroke[] = [];
  for (const stroke of strokes.toReversed()) {
    const next = chain[0];
    if (Math.abs(stroke.peak) < FOLLOWS.size * usual) break;
    if (next) {
      const gap = (next.atMs - stroke.atMs) / (periodMs / 2);
      if (gap < FOLLOWS.least || gap > FOLLOWS.most || stroke.peak * next.peak > 0) break;
    }
    chain.unshift(stroke);
  }
  return chain;
};
