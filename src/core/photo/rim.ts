import type { Point, Polygon } from '../outline/polygon';
import { type Camera, pixelOf } from './camera';
import { bestLoop, evenly, movedOut, normalsOf, smoothLoop } from './contour';
import type { Sampled } from './sampled';
import { lookOf, type TableGrid } from './tableGrid';

/** Steps round a piece, mm, and the most of them. */
const ROUND_MM = 3;
const MOST_ROUND = 600;
/** How far a rim may lie from where it is believed, and the steps it is looked for at, mm. */
const COARSE = { reachMm: 26, stepMm: 1 } as const;
const NEAR = { reachMm: 13, stepMm: 0.4, deepMm: 5 } as const;
/** Felt has this share of a rim’s place: hairs over the table are still table. */
const RIM_SHARE = 0.6;
/** Neighbours whose looks are taken together, each way. */
const TOGETHER = 9;

/** Value of a grid between its cells. */
const between = (values: Float32Array, grid: TableGrid, p: Point): number => {
  const [fx, fy] = [(p.x - grid.left) / grid.cellMm - 0.5, (p.y - grid.top) / grid.cellMm - 0.5];
  const [x, y] = [Math.floor(fx), Math.floor(fy)];
  if (x < 0 || y < 0 || x >= grid.width - 1 || y >= grid.height - 1) return -4;
  const [u, v] = [fx - x, fy - y];
  const at = y * grid.width + x;
  const below = at + grid.width;
  return (
    ((values[at] ?? 0) * (1 - u) + (values[at + 1] ?? 0) * u) * (1 - v) +
    ((values[below] ?? 0) * (1 - u) + (values[below + 1] ?? 0) * u) * v
  );
};

/** Offsets at which a rim is looked for, mm. */
const offsetsOf = (reachMm: number, stepMm: number): Float32Array =>
  Float32Array.from({ length: 2 * Math.round(reachMm / stepMm) + 1 }, (_, i) => i * stepMm - reachMm);

/** What is gained by a rim at each offset: what lies within is rather felt, what lies beyond rather not. */
const gainsOf = (rather: Float32Array, count: number): Float32Array => {
  const gains = new Float32Array(rather.length);
  for (let at = 0; at < rather.length; at += count) {
    let sum = 0;
    for (let o = 0; o < count; o += 1) {
      sum += rather[at + o] ?? 0;
      gains[at + o] = sum;
    }
  }
  return gains;
};

/** The rim of a piece as the grid shows it, begun from where its plan lies. */
export const coarseRim = (placed: Polygon, grid: TableGrid, rather: Float32Array): Polygon => {
  const length = placed.reduce((sum, p, i) => {
    const q = placed[(i + 1) % placed.length] ?? p;
    return sum + Math.sqrt((q.x - p.x) ** 2 + (q.y - p.y) ** 2);
  }, 0);
  const step = Math.max(ROUND_MM, length / MOST_ROUND);
  let rim = evenly(placed, step);
  for (const reachMm of [COARSE.reachMm, COARSE.reachMm / 2]) {
    const normals = normalsOf(rim);
    const offsets = offsetsOf(reachMm, COARSE.stepMm);
    const values = Float32Array.from({ length: rim.length * offsets.length }, (_, i) => {
      const p = rim[Math.floor(i / offsets.length)] ?? { x: 0, y: 0 };
      const n = normals[Math.floor(i / offsets.length)] ?? p;
      const o = offsets[i % offsets.length] ?? 0;
      return Math.min(3, Math.max(-3, between(rather, grid, { x: p.x + o * n.x, y: p.y + o * n.y })));
    });
    const path = bestLoop(gainsOf(values, offsets.length), offsets.length, 1.2);
    const by = smoothLoop(
      Float64Array.from(path, o => offsets[o] ?? 0),
      1,
    );
    rim = evenly(movedOut(rim, normals, by), step);
  }
  return rim;
};

/** A rim, and which way is out at each place of it. */
export interface Rim {
  readonly points: Polygon;
  readonly normals: Polygon;
  /** Share of its places where felt and table are told apart. */
  readonly told: number;
}

/**
 * The rim read from the picture itself: at each place round it what is felt and what is table are learnt from its neighbours, and the rim is where
 * one has given way to the other.
 */
export const fineRim = (
  rim: Polygon,
  seen: Sampled,
  of: { readonly camera: Camera; readonly heightMm: number },
): Rim => {
  const normals = normalsOf(rim);
  const offsets = offsetsOf(NEAR.reachMm, NEAR.stepMm);
  const count = offsets.length;
  const looks = [
    new Float32Array(rim.length * count),
    new Float32Array(rim.length * count),
    new Float32Array(rim.length * count),
  ];
  rim.forEach((p, i) => {
    const n = normals[i] ?? p;
    offsets.forEach((o, k) => {
      const px = pixelOf(of.camera, { x: p.x + o * n.x, y: p.y + o * n.y, z: of.heightMm });
      const look = lookOf(seen(px.x, px.y, 0), seen(px.x, px.y, 1), seen(px.x, px.y, 2));
      look.forEach((v, d) => {
        const into = looks[d];
        if (into) into[i * count + k] = v;
      });
    });
  });
  const isFelt = Uint8Array.from(offsets, o => Number(o <= -NEAR.deepMm));
  const isTable = Uint8Array.from(offsets, o => Number(o >= NEAR.deepMm));
  const shares = new Float32Array(rim.length * count);
  const told = new Uint8Array(rim.length);
  rim.forEach((_, i) => {
    const near = Array.from(
      { length: 2 * TOGETHER + 1 },
      (_n, d) => (i + d - TOGETHER + rim.length) % rim.length,
    );
    const weigh = discriminantOf(looks, near, { count, isFelt, isTable });
    told[i] = Number(weigh.apart > 1.6);
    for (let k = 0; k < count; k += 1) {
      const at = i * count + k;
      shares[at] = weigh.share(looks[0]?.[at] ?? 0, looks[1]?.[at] ?? 0, looks[2]?.[at] ?? 0);
    }
  });
  const gains = gainsOf(
    shares.map(v => Math.min(1, Math.max(0, v)) - 0.5),
    count,
  );
  const path = bestLoop(gains, count, 0.12);
  const smooth = smoothLoop(crossings(shares, path, { count, offsets }), 2);
  return {
    points: movedOut(rim, normals, smooth),
    normals,
    told: told.reduce((a, b) => a + b, 0) / told.length,
  };
};

/** Where the share of felt passes the rim’s, near the best line, mm. */
const crossings = (
  shares: Float32Array,
  path: Int32Array,
  { count, offsets }: { readonly count: number; readonly offsets: Float32Array },
): Float64Array => {
  const places = path.length;
  return Float64Array.from(path, (o, i) => {
    // Neighbours laid upon one another along the line: hairs even out.
    const meanAt = (k: number): number => {
      let [sum, n] = [0, 0];
      for (let d = -2; d <= 2; d += 1) {
        const j = (i + d + places) % places;
        const own = k + (path[j] ?? o) - o;
        if (own < 0 || own >= count) continue;
        sum += Math.min(1.2, Math.max(-0.2, shares[j * count + own] ?? 0));
        n += 1;
      }
      return n > 0 ? sum / n : 0;
    };
    const stepMm = (offsets[1] ?? 1) - (offsets[0] ?? 0);
    for (let r = 0; r < 12; r += 1)
      for (const k of [o + r, o - r]) {
        const [a, b] = [meanAt(k), meanAt(k + 1)];
        if (a >= RIM_SHARE && b < RIM_SHARE)
          return (offsets[0] ?? 0) + stepMm * (k + (a - RIM_SHARE) / Math.max(1e-6, a - b));
      }
    return offsets[o] ?? 0;
  });
};

/** How to weigh looks so that felt and table lie furthest apart: 1 on felt, 0 on table. Source: the linear discriminant of Fisher. */
const discriminantOf = (
  looks: readonly Float32Array[],
  near: readonly number[],
  of: { readonly count: number; readonly isFelt: Uint8Array; readonly isTable: Uint8Array },
): { readonly share: (a: number, b: number, c: number) => number; readonly apart: number } => {
  const meanOf = (
    is: Uint8Array,
  ): { readonly mean: readonly number[]; readonly spread: readonly number[] } => {
    let n = 0;
    const [sum, squares] = [
      [0, 0, 0],
      [0, 0, 0],
    ];
    for (const i of near)
      for (let k = 0; k < of.count; k += 1) {
        if (is[k] !== 1) continue;
        n += 1;
        for (let d = 0; d < 3; d += 1) {
          const v = looks[d]?.[i * of.count + k] ?? 0;
          sum[d] = (sum[d] ?? 0) + v;
          squares[d] = (squares[d] ?? 0) + v * v;
        }
      }
    const mean = sum.map(v => v / n);
    return { mean, spread: squares.map((v, d) => Math.max(0, v / n - (mean[d] ?? 0) ** 2)) };
  };
  const [felt, table] = [meanOf(of.isFelt), meanOf(of.isTable)];
  const weights = [0, 1, 2].map(d => {
    const off = (felt.mean[d] ?? 0) - (table.mean[d] ?? 0);
    return off / ((felt.spread[d] ?? 0) + (table.spread[d] ?? 0) + 4e-4);
  });
  const along = (v: readonly number[]): number => weights.reduce((sum, w, d) => sum + w * (v[d] ?? 0), 0);
  const [low, high] = [along(table.mean), along(felt.mean)];
  const spread = Math.sqrt(
    weights.reduce((sum, w, d) => sum + w * w * ((felt.spread[d] ?? 0) + (table.spread[d] ?? 0) + 4e-4), 0) /
      2,
  );
  const reach = Math.max(1e-6, high - low);
  const [w0 = 0, w1 = 0, w2 = 0] = weights;
  return {
    share: (a, b, c) => (w0 * a + w1 * b + w2 * c - low) / reach,
    apart: reach / Math.max(1e-6, spread),
  };
};
