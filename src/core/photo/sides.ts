import type { Point } from '../outline/polygon';
import type { Quad } from './quads';
import type { Sampled } from './sampled';

/** Places on one side of a flat thing where its edge is seen, and how broad the edge is, px. */
export interface SideSeen {
  readonly points: readonly Point[];
  readonly broadPx: number;
}

interface Edge {
  readonly t: number;
  readonly off: number;
  readonly strength: number;
  readonly broadPx: number;
}

/** Steps across an edge, px, and how far each way is looked. */
const STEP = 0.5;

/** Where the picture changes most on a line across a side: up to three places, the steepest first. */
const changesAcross = (
  seen: Sampled,
  at: Point,
  [nx, ny, reach]: readonly [number, number, number],
): ReadonlyArray<Omit<Edge, 't'>> => {
  const count = 2 * Math.ceil(reach / STEP) + 1;
  const offs = Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * STEP);
  const colours = [0, 1, 2].map(c => Float32Array.from(offs, o => seen(at.x + o * nx, at.y + o * ny, c)));
  // A slope over two pixels, of the colour that changes most.
  const slope = Float32Array.from(offs, (_, i) =>
    Math.max(
      ...colours.map(v => Math.abs((v[Math.min(count - 1, i + 2)] ?? 0) - (v[Math.max(0, i - 2)] ?? 0))),
    ),
  );
  const peaks: Array<Omit<Edge, 't'>> = [];
  for (let i = 2; i < count - 2; i += 1) {
    const [a, b, c] = [slope[i - 1] ?? 0, slope[i] ?? 0, slope[i + 1] ?? 0];
    if (b < 0.012 || b < a || b <= c) continue;
    // The middle of what is steep: a blurred edge has no sharp peak.
    let [sum, moment] = [0, 0];
    for (let k = Math.max(0, i - 4); k <= Math.min(count - 1, i + 4); k += 1) {
      const w = Math.max(0, (slope[k] ?? 0) - 0.5 * b);
      sum += w;
      moment += w * (offs[k] ?? 0);
    }
    const isHalf = (k: number): boolean => (slope[k] ?? 0) > 0.5 * b;
    let [low, high] = [i, i];
    while (low > 0 && isHalf(low - 1)) low -= 1;
    while (high < count - 1 && isHalf(high + 1)) high += 1;
    peaks.push({
      off: sum > 0 ? moment / sum : (offs[i] ?? 0),
      strength: b,
      broadPx: (high - low) * STEP,
    });
  }
  return peaks.toSorted((x, y) => y.strength - x.strength).slice(0, 3);
};

/** The line most edges agree on, bent a little where the side is long: those on it. */
const agreeing = (edges: readonly Edge[], tolerance: number): readonly Edge[] => {
  let best: readonly Edge[] = [];
  let most = 0;
  const few = edges.filter((_, i) => i % Math.max(1, Math.floor(edges.length / 40)) === 0);
  for (const a of few)
    for (const b of few) {
      if (b.t - a.t < 0.3) continue;
      const slope = (b.off - a.off) / (b.t - a.t);
      const on = edges.filter(e => Math.abs(e.off - a.off - slope * (e.t - a.t)) < tolerance);
      const votes = on.reduce((sum, e) => sum + Math.sqrt(e.strength), 0);
      if (votes > most) [most, best] = [votes, on];
    }
  return best;
};

const SAMPLES = 60;

/**
 * Where the sides of a quad are seen in a picture, to a fraction of a pixel; corners are left out, where a card is round.
 * @param reach how far each side may lie from where the quad has it, px  @param margin share of a side left out at each end
 */
export const sidesSeen = (
  seen: Sampled,
  quad: Quad['corners'],
  { reach, margin }: { readonly reach: number; readonly margin: readonly [number, number] },
): readonly SideSeen[] =>
  quad.map((from, n) => {
    const to = quad[(n + 1) % 4] ?? from;
    const length = Math.sqrt((to.x - from.x) ** 2 + (to.y - from.y) ** 2);
    const [nx, ny] = [-(to.y - from.y) / length, (to.x - from.x) / length];
    const left = margin[n % 2] ?? 0.1;
    const edges = Array.from(
      { length: SAMPLES },
      (_, i) => left + ((1 - 2 * left) * (i + 0.5)) / SAMPLES,
    ).flatMap(t => {
      const at = { x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) };
      return changesAcross(seen, at, [nx, ny, reach]).map((e): Edge => ({ t, ...e }));
    });
    const on = agreeing(edges, 0.8 + 0.003 * length);
    // Of two on one line across, the steeper.
    const byPlace = new Map<number, Edge>();
    for (const e of on) if ((byPlace.get(e.t)?.strength ?? 0) < e.strength) byPlace.set(e.t, e);
    const kept = [...byPlace.values()];
    const broad = kept.map(e => e.broadPx).toSorted((a, b) => a - b);
    return {
      broadPx: broad[Math.floor(broad.length / 2)] ?? 0,
      points: kept.map(e => ({
        x: from.x + e.t * (to.x - from.x) + e.off * nx,
        y: from.y + e.t * (to.y - from.y) + e.off * ny,
      })),
    };
  });
