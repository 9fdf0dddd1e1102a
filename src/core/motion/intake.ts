import { CHANNELS, type MotionPlace, type MotionSample, STEP_MS } from './motion';

/** One even step of motion. */
export interface Step {
  /** End of the step, ms. */
  readonly atMs: number;
  /** What moves like a speed, m/s or as good as; six of them. */
  readonly speed: Float64Array;
  /** How it is pushed, without what is steady: three. */
  readonly push: Float64Array;
  /** Which way is down, three, about 9.8 long. */
  readonly down: Float64Array;
  /** How fast it turns, rad/s, three. */
  readonly turn: Float64Array;
  /** True where samples were lost. */
  readonly isLost: boolean;
}

const RATE = 1000 / STEP_MS;
/** Samples further apart were lost; much further, and all begins anew, ms. */
const LOST_MS = 220;
const ANEW_MS = 3000;
/** A turn counts as so much speed to the rad/s, m: about the length of a hand. */
const ARM_M = 0.3;

/** A filter of the second order. Source: the bilinear transform of Butterworth’s, as in any handbook of signals (from memory). */
const filterOf = (hz: number, kind: 'low' | 'high') => {
  const k = Math.tan((Math.PI * hz) / RATE);
  const n = 1 / (1 + Math.SQRT2 * k + k * k);
  const [b0, b1] = kind === 'low' ? [k * k * n, 2 * k * k * n] : [n, -2 * n];
  return { b0, b1, b2: b0, a1: 2 * (k * k - 1) * n, a2: (1 - Math.SQRT2 * k + k * k) * n };
};
/** Runs a filter over one channel, sample by sample; it begins as if all had been like the first. */
const runner = (hz: number, kind: 'low' | 'high'): ((x: number) => number) => {
  const { b0, b1, b2, a1, a2 } = filterOf(hz, kind);
  let state: readonly [number, number, number, number] | null = null;
  return x => {
    const [x1, x2, y1, y2] = state ?? (kind === 'low' ? [x, x, x, x] : [x, x, 0, 0]);
    const y = b0 * x + b1 * x1 + b2 * x2 - a1 * y1 - a2 * y2;
    state = [x, x1, y, y1];
    return y;
  };
};
const three = <T>(make: () => T): readonly [T, T, T] => [make(), make(), make()];

/** What each place has of its own: what is taken as turning where the device feels none. */
const TURNS_BY_GRAVITY: ReadonlySet<MotionPlace> = new Set(['bundle']);

/**
 * Takes samples as they come and gives even steps: what is pushed is made a speed, what turns counts as one. Each step costs the same.
 * @returns steps that a sample completes, mostly one or none
 */
export const intake = (place: MotionPlace): ((sample: MotionSample) => readonly Step[]) => {
  let filters = freshFilters();
  let last: MotionSample | null = null;
  let cell = { end: 0, sum: new Float64Array(6), ms: 0, isLost: false };
  const stepOf = (
    mean: Float64Array,
    of: { readonly end: number; readonly isLost: boolean },
    feels: boolean,
  ): Step => {
    const speed = new Float64Array(CHANNELS);
    const [push, down, turn] = [new Float64Array(3), new Float64Array(3), new Float64Array(3)];
    for (let i = 0; i < 3; i += 1) {
      const low = filters.low[i]?.(mean[i] ?? 0) ?? 0;
      down[i] = filters.down[i]?.(mean[i] ?? 0) ?? 0;
      push[i] = filters.high[i]?.(low) ?? 0;
      const v = ((filters.speed[i] ?? 0) + ((push[i] ?? 0) * STEP_MS) / 1000) * filters.leak;
      filters.speed[i] = v;
      speed[i] = v;
      filters.tilted[i] = low;
      turn[i] = filters.turnLow[i]?.(mean[3 + i] ?? 0) ?? 0;
    }
    if (!feels && TURNS_BY_GRAVITY.has(place)) byGravity(filters, turn);
    filters.before.set(filters.tilted);
    for (let i = 0; i < 3; i += 1) speed[3 + i] = ARM_M * (filters.turnHigh[i]?.(turn[i] ?? 0) ?? 0);
    return { atMs: of.end, speed, push, down, turn, isLost: of.isLost };
  };
  return sample => {
    const steps: Step[] = [];
    const from = last;
    last = sample;
    if (!from || sample.atMs - from.atMs > ANEW_MS || sample.atMs < from.atMs) {
      filters = freshFilters();
      cell = { end: sample.atMs + STEP_MS, sum: new Float64Array(6), ms: 0, isLost: from !== null };
      return steps;
    }
    const isLost = sample.atMs - from.atMs > LOST_MS;
    const span = sample.atMs - from.atMs;
    // The straight line between two samples is taken cell by cell.
    let at = from.atMs;
    while (at < sample.atMs) {
      const to = Math.min(cell.end, sample.atMs);
      const middle = ((at + to) / 2 - from.atMs) / span;
      for (let i = 0; i < 3; i += 1) {
        cell.sum[i] =
          (cell.sum[i] ?? 0) +
          (to - at) * ((from.push[i] ?? 0) * (1 - middle) + (sample.push[i] ?? 0) * middle);
        cell.sum[3 + i] =
          (cell.sum[3 + i] ?? 0) +
          (to - at) * ((from.turn?.[i] ?? 0) * (1 - middle) + (sample.turn?.[i] ?? 0) * middle);
      }
      cell.ms += to - at;
      cell.isLost ||= isLost;
      at = to;
      if (to < cell.end) continue;
      steps.push(
        stepOf(
          cell.sum.map(v => v / Math.max(1e-9, cell.ms)),
          cell,
          sample.turn !== null,
        ),
      );
      cell = { end: cell.end + STEP_MS, sum: new Float64Array(6), ms: 0, isLost: false };
    }
    return steps;
  };
};

const freshFilters = () => ({
  low: three(() => runner(3.2, 'low')),
  high: three(() => runner(0.45, 'high')),
  down: three(() => runner(0.3, 'low')),
  turnLow: three(() => runner(3.2, 'low')),
  turnHigh: three(() => runner(0.45, 'high')),
  speed: new Float64Array(3),
  tilted: new Float64Array(3),
  before: new Float64Array(3),
  /** What is left of a speed after a step: it is forgotten at 0.6 Hz. */
  leak: Math.exp((-2 * Math.PI * 0.6 * STEP_MS) / 1000),
});

/** How it turns by how gravity turns in it: what a device without a gyroscope can say. */
const byGravity = (filters: ReturnType<typeof freshFilters>, turn: Float64Array): void => {
  const [a, b] = [filters.before, filters.tilted];
  const [la, lb] = [Math.hypot(...a), Math.hypot(...b)];
  if (la < 1 || lb < 1) return;
  const scale = 1000 / STEP_MS / (la * lb);
  for (let i = 0; i < 3; i += 1) {
    const [j, k] = [(i + 1) % 3, (i + 2) % 3];
    turn[i] = scale * ((a[j] ?? 0) * (b[k] ?? 0) - (a[k] ?? 0) * (b[j] ?? 0));
  }
};
