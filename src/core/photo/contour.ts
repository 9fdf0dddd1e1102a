import type { Point, Polygon } from '../outline/polygon';

/** Places round a piece at even steps, mm. */
export const evenly = (outline: Polygon, stepMm: number): Polygon => {
  const ends = outline.map((p, i) => [p, outline[(i + 1) % outline.length] ?? p] as const);
  const lengths = ends.map(([a, b]) => Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2));
  const total = lengths.reduce((a, b) => a + b, 0);
  const count = Math.max(24, Math.round(total / stepMm));
  const out: Point[] = [];
  let [edge, before] = [0, 0];
  for (let i = 0; i < count; i += 1) {
    const at = (total * i) / count;
    while (edge < ends.length - 1 && before + (lengths[edge] ?? 0) < at) {
      before += lengths[edge] ?? 0;
      edge += 1;
    }
    const [a, b] = ends[edge] ?? [];
    const t = (at - before) / Math.max(1e-9, lengths[edge] ?? 1);
    if (a && b) out.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
  }
  return out;
};

/** Directions out of a piece, unit length, at each place round it. @param outward 1 where the outline runs so that its right is outside */
export const normalsOf = (outline: Polygon): Polygon => {
  const n = outline.length;
  const isPositive =
    outline.reduce((sum, p, i) => {
      const q = outline[(i + 1) % n] ?? p;
      return sum + p.x * q.y - q.x * p.y;
    }, 0) > 0;
  return outline.map((p, i) => {
    const [a, b] = [outline[(i - 2 + n) % n] ?? p, outline[(i + 2) % n] ?? p];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const length = Math.max(1e-9, Math.sqrt(dx * dx + dy * dy));
    const side = isPositive ? 1 : -1;
    return { x: (side * dy) / length, y: (-side * dx) / length };
  });
};

/**
 * The closed line that gains most: at each place round a piece one of some offsets, neighbours near one another. Two rounds, so that its ends meet.
 * @param gains of each place and each offset, place by place  @param stiff what a step of one offset between neighbours costs
 * @returns the number of the offset at each place
 */
export const bestLoop = (gains: Float32Array, offsets: number, stiff: number): Int32Array => {
  const REACH = 3;
  const places = gains.length / offsets;
  const length = 2 * places;
  const from = new Int16Array(length * offsets);
  let best = gains.slice(0, offsets);
  for (let i = 1; i < length; i += 1) {
    const next = new Float32Array(offsets);
    const at = (i % places) * offsets;
    for (let o = 0; o < offsets; o += 1) {
      let [most, where] = [Number.NEGATIVE_INFINITY, o];
      for (let d = -REACH; d <= REACH; d += 1) {
        const p = o + d;
        if (p < 0 || p >= offsets) continue;
        const value = (best[p] ?? 0) - stiff * d * d;
        if (value > most) [most, where] = [value, p];
      }
      next[o] = most + (gains[at + o] ?? 0);
      from[i * offsets + o] = where;
    }
    best = next;
  }
  let o = best.reduce((m, v, i) => (v > (best[m] ?? 0) ? i : m), 0);
  const path = new Int32Array(length);
  for (let i = length - 1; i >= 0; i -= 1) {
    path[i] = o;
    o = from[i * offsets + o] ?? 0;
  }
  // The middle of both rounds: there neither end is felt.
  const half = Math.floor(places / 2);
  return Int32Array.from({ length: places }, (_, i) => path[i < half ? i + places : i] ?? 0);
};

/** Each place moved out by so much, mm. */
export const movedOut = (outline: Polygon, normals: Polygon, byMm: ArrayLike<number>): Polygon =>
  outline.map((p, i) => ({
    x: p.x + (normals[i]?.x ?? 0) * (byMm[i] ?? 0),
    y: p.y + (normals[i]?.y ?? 0) * (byMm[i] ?? 0),
  }));

/** Mean over neighbours round a loop. */
export const smoothLoop = (values: ArrayLike<number>, reach: number): Float64Array => {
  const n = values.length;
  return Float64Array.from({ length: n }, (_, i) => {
    let sum = 0;
    for (let d = -reach; d <= reach; d += 1) sum += values[(i + d + n) % n] ?? 0;
    return sum / (2 * reach + 1);
  });
};
