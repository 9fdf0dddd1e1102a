import { CHANNELS, STEP_MS } from './motion';
import type { Step } from './intake';

/** A motion that comes again: how long it takes, ms, and how alike it comes, −1 to 1. */
export interface Period {
  readonly ms: number;
  readonly alike: number;
}

/** A roll takes so long, ms: forth and back. */
const SHORTEST_MS = 420;
const LONGEST_MS = 1800;
/** The shortest of those that come nearly as alike as the most alike. */
const NEARLY = 0.86;

/** How alike the motion is to itself so many steps before, over a window that ends with the last step. */
const alikeAt = (steps: readonly Step[], lag: number, window: number): number => {
  let [both, own] = [0, 0];
  for (let k = steps.length - window; k < steps.length; k += 1) {
    const [a, b] = [steps[k]?.speed, steps[k - lag]?.speed];
    if (!a || !b) continue;
    for (let c = 0; c < CHANNELS; c += 1) {
      const [x, y] = [a[c] ?? 0, b[c] ?? 0];
      both += x * y;
      own += x * x + y * y;
    }
  }
  return own > 0 ? (2 * both) / own : 0;
};

/** The period of the last steps: the shortest after which they come again nearly as alike as after any; null where none does. */
export const periodOf = (steps: readonly Step[]): Period | null => {
  const [least, most] = [Math.round(SHORTEST_MS / STEP_MS), Math.round(LONGEST_MS / STEP_MS)];
  const alike: number[] = [];
  for (let lag = least - 1; lag <= most + 1; lag += 1) {
    const window = Math.max(Math.round(1600 / STEP_MS), Math.round(1.5 * lag));
    if (steps.length < window + lag) break;
    alike.push(alikeAt(steps, lag, window));
  }
  const peaks = alike.flatMap((value, i) => {
    const [before, after] = [alike[i - 1], alike[i + 1]];
    return before !== undefined && after !== undefined && value >= before && value > after
      ? [{ i, value, before, after }]
      : [];
  });
  const highest = Math.max(0, ...peaks.map(p => p.value));
  const first = peaks.find(p => p.value >= NEARLY * highest && p.value > 0);
  if (!first) return null;
  // Between steps by the parabola through three of them.
  const curve = first.before - 2 * first.value + first.after;
  const off = curve < 0 ? (0.5 * (first.before - first.after)) / curve : 0;
  return { ms: (least - 1 + first.i + off) * STEP_MS, alike: first.value };
};

/** A direction in the six channels, and how much of the motion lies aside of it. */
export interface Axis {
  readonly along: Float64Array;
  /** Strength of the next direction beside the first, 0 to 1. */
  readonly aside: number;
}

const strongest = (matrix: Float64Array): { readonly vector: Float64Array; readonly value: number } => {
  let vector = new Float64Array(CHANNELS).fill(1);
  let value = 0;
  for (let round = 0; round < 16; round += 1) {
    const next = new Float64Array(CHANNELS);
    for (let r = 0; r < CHANNELS; r += 1)
      for (let c = 0; c < CHANNELS; c += 1)
        next[r] = (next[r] ?? 0) + (matrix[CHANNELS * r + c] ?? 0) * (vector[c] ?? 0);
    value = Math.hypot(...next);
    if (value < 1e-12) return { vector, value: 0 };
    vector = next.map(v => v / value);
  }
  return { vector, value };
};

/**
 * Which way it goes to and fro: the strongest direction of the motion less itself half a period before, in which all that comes twice a period is gone.
 * Source: power iteration.
 */
export const axisOf = (steps: readonly Step[], periodMs: number): Axis => {
  const half = Math.max(1, Math.round(periodMs / 2 / STEP_MS));
  const window = Math.min(steps.length - half, Math.round((2 * periodMs) / STEP_MS));
  const spread = new Float64Array(CHANNELS * CHANNELS);
  for (let k = steps.length - window; k < steps.length; k += 1) {
    const [a, b] = [steps[k]?.speed, steps[k - half]?.speed];
    if (!a || !b) continue;
    for (let r = 0; r < CHANNELS; r += 1)
      for (let c = 0; c < CHANNELS; c += 1)
        spread[CHANNELS * r + c] =
          (spread[CHANNELS * r + c] ?? 0) + ((a[r] ?? 0) - (b[r] ?? 0)) * ((a[c] ?? 0) - (b[c] ?? 0));
  }
  const first = strongest(spread);
  const rest = spread.map(
    (v, i) =>
      v - first.value * (first.vector[Math.floor(i / CHANNELS)] ?? 0) * (first.vector[i % CHANNELS] ?? 0),
  );
  return { along: first.vector, aside: first.value > 0 ? strongest(rest).value / first.value : 1 };
};

/** The motion along an axis, step by step, averaged over a third of its period: what comes three times a period is gone. */
export const alongAxis = (steps: readonly Step[], axis: Axis, periodMs: number): Float64Array => {
  const raw = Float64Array.from(steps, s => {
    let sum = 0;
    for (let c = 0; c < CHANNELS; c += 1) sum += (s.speed[c] ?? 0) * (axis.along[c] ?? 0);
    return sum;
  });
  const reach = Math.max(0, Math.round((periodMs / 3 / STEP_MS - 1) / 2));
  return raw.map((_, i) => {
    let [sum, n] = [0, 0];
    for (let k = Math.max(0, i - reach); k <= Math.min(raw.length - 1, i + reach); k += 1) {
      sum += raw[k] ?? 0;
      n += 1;
    }
    return sum / n;
  });
};
