import { Matrix, solve } from 'ml-matrix';
import type { Point } from '../outline/polygon';
import type { ReferenceSize } from './references';
import type { Segment, Slopes } from './segments';

/** Four straight sides in a picture that may be a flat thing of a known size: its corners in turn, the first side a long one. */
export interface Quad {
  readonly corners: readonly [Point, Point, Point, Point];
  /** How well it is seen and how well its shape agrees, 0 to 1. */
  readonly score: number;
}

const LEAST_SIDE_PX = 20;
/** Sides of one corner differ by this turn at least, opposite ones by this at the most, radians. */
const TURN = { corner: 0.6, opposite: 0.62 } as const;
/** A side is seen over so much of itself at least; all four on average over so much. */
const SEEN = { each: 0.3, mean: 0.5, sharp: 0.4 } as const;
/** Its sides may be off what a camera makes of it by so much, as a logarithm of their ratio and as a cosine. */
const OFF = { ratio: 0.1, square: 0.12 } as const;

const parted = (a: number, b: number): number => {
  const turn = Math.abs(a - b) % Math.PI;
  return Math.min(turn, Math.PI - turn);
};

const meeting = (a: Segment, b: Segment): Point | null => {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y];
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y];
  const cross = ax * by - ay * bx;
  if (Math.abs(cross) < 1e-9) return null;
  const t = ((b.from.x - a.from.x) * by - (b.from.y - a.from.y) * bx) / cross;
  return { x: a.from.x + t * ax, y: a.from.y + t * ay };
};
const apart = (a: Point, b: Point): number => Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2);
/** Whether a place lies near an end of an edge. */
const isAtEnd = (p: Point, s: Segment): boolean =>
  Math.min(apart(p, s.from), apart(p, s.to)) < Math.max(12, Math.min(0.8 * s.length, 60));

/** How much of the side between two corners an edge covers, as a share of the side. */
const coverage = (s: Segment, from: Point, to: Point): number => {
  const length = apart(from, to);
  const along = (p: Point): number =>
    ((p.x - from.x) * (to.x - from.x) + (p.y - from.y) * (to.y - from.y)) / length;
  const [a, b] = [along(s.from), along(s.to)];
  const seen = Math.min(length, Math.max(a, b)) - Math.max(0, Math.min(a, b));
  const beyond = Math.max(0, Math.max(a, b) - length) + Math.max(0, -Math.min(a, b));
  return (seen - 0.5 * beyond) / length;
};

const area = (corners: readonly Point[]): number =>
  corners.reduce((sum, p, i) => {
    const q = corners[(i + 1) % corners.length] ?? p;
    return sum + p.x * q.y - q.x * p.y;
  }, 0) / 2;
const isConvex = (corners: readonly Point[]): boolean =>
  corners.every((p, i) => {
    const [q, r] = [corners[(i + 1) % 4] ?? p, corners[(i + 2) % 4] ?? p];
    return (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x) > 0;
  });

/** The plane map from places on a flat thing to pixels, by its corners; nine numbers row by row. Null where they lie on a line. */
export const planeMap = (from: readonly Point[], to: readonly Point[]): readonly number[] | null => {
  const rows: number[][] = [];
  const right: number[] = [];
  from.forEach((p, i) => {
    const q = to[i] ?? p;
    rows.push([p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y], [0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y]);
    right.push(q.x, q.y);
  });
  try {
    const h = solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray();
    return h.every(v => Number.isFinite(v)) ? [...h, 1] : null;
  } catch {
    return null;
  }
};

/** Corners of a flat thing about its middle, mm, in turn as pixels run (y down); the first side long. */
export const cornersOf = ({ long, short }: ReferenceSize): readonly Point[] => [
  { x: -long / 2, y: -short / 2 },
  { x: long / 2, y: -short / 2 },
  { x: long / 2, y: short / 2 },
  { x: -long / 2, y: short / 2 },
];

/** What a camera of a focal length makes of the shape: how far off its ratio and its right angles are. */
const shapeOff = (
  corners: readonly Point[],
  size: ReferenceSize,
  lens: { readonly focalPx: number; readonly middle: Point },
): number => {
  const seen = corners.map(p => ({
    x: (p.x - lens.middle.x) / lens.focalPx,
    y: (p.y - lens.middle.y) / lens.focalPx,
  }));
  const h = planeMap(cornersOf(size), seen);
  if (!h) return Number.POSITIVE_INFINITY;
  const column = (c: number): readonly number[] => [h[c] ?? 0, h[3 + c] ?? 0, h[6 + c] ?? 0];
  const [a, b] = [column(0), column(1)];
  const dot = (u: readonly number[], v: readonly number[]): number =>
    u.reduce((sum, w, i) => sum + w * (v[i] ?? 0), 0);
  const [la, lb] = [Math.sqrt(dot(a, a)), Math.sqrt(dot(b, b))];
  return Math.max(Math.abs(Math.log(la / lb)) / OFF.ratio, Math.abs(dot(a, b) / (la * lb)) / OFF.square);
};

/** Share of a side along which the picture changes across it. */
const sharpness = (from: Point, to: Point, slopes: Slopes): number => {
  const length = apart(from, to);
  const [nx, ny] = [-(to.y - from.y) / length, (to.x - from.x) / length];
  const samples = Math.max(12, Math.min(60, Math.round(length / 2)));
  let seen = 0;
  for (let i = 0; i < samples; i += 1) {
    const t = 0.08 + (0.84 * (i + 0.5)) / samples;
    const p = { x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) };
    let best = 0;
    for (let off = -2; off <= 2; off += 1) {
      const [x, y] = [Math.floor(p.x + off * nx), Math.floor(p.y + off * ny)];
      if (x < 0 || y < 0 || x >= slopes.width || y >= slopes.height) continue;
      const cell = y * slopes.width + x;
      const across = Math.abs((slopes.x[cell] ?? 0) * nx + (slopes.y[cell] ?? 0) * ny);
      if (across > 0.8 * (slopes.size[cell] ?? 0)) best = Math.max(best, across);
    }
    if (best > 0.012) seen += 1;
  }
  return seen / samples;
};

/** Whether two quads are one and the same. */
export const isSameQuad = (a: Quad, b: Quad): boolean => {
  const span = apart(a.corners[0], a.corners[2]);
  return a.corners.every(p => b.corners.some(q => apart(p, q) < Math.max(5, 0.04 * span)));
};

/** Pairs of edges that meet near an end of both, by the number of the first. */
const cornersAmong = (edges: readonly Segment[]): ReadonlyArray<ReadonlyMap<number, Point>> => {
  const meets = edges.map(() => new Map<number, Point>());
  edges.forEach((a, i) =>
    edges.slice(i + 1).forEach((b, n) => {
      if (parted(a.angle, b.angle) < TURN.corner) return;
      const p = meeting(a, b);
      if (!p || !isAtEnd(p, a) || !isAtEnd(p, b)) return;
      meets[i]?.set(i + 1 + n, p);
      meets[i + 1 + n]?.set(i, p);
    }),
  );
  return meets;
};

/**
 * Quads among straight edges that may be a flat thing of a known size, the best first.
 * @param edges the longest first; no more than 150 are edges at  @param lens as it is believed to be
 */
export const quadsOf = (
  edges: readonly Segment[],
  of: {
    readonly slopes: Slopes;
    readonly size: ReferenceSize;
    readonly lens: { readonly focalPx: number; readonly middle: Point };
  },
): readonly Quad[] => {
  const meets = cornersAmong(edges);
  const found: Quad[] = [];
  /** A quad of two opposite pairs; kept where it is seen and of about the right shape. */
  const consider = ([i, j, k, l]: readonly [number, number, number, number]): void => {
    const [a, b, c, d] = [meets[i]?.get(j), meets[j]?.get(k), meets[k]?.get(l), meets[l]?.get(i)];
    if (!a || !b || !c || !d) return;
    // Side i runs from d to a, j from a to b, k from b to c, l from c to d.
    const turned = [d, a, b, c];
    const sides = [i, j, k, l].map(n => edges[n]);
    const isRight = area(turned) > 0;
    const corners = isRight ? turned : [a, d, c, b];
    const inTurn = isRight ? sides : [sides[0], sides[3], sides[2], sides[1]];
    if (!isConvex(corners)) return;
    const ends = corners.map((p, n) => [p, corners[(n + 1) % 4] ?? p] as const);
    if (ends.some(([p, q]) => apart(p, q) < LEAST_SIDE_PX)) return;
    const cover = ends.map(([p, q], n) => {
      const side = inTurn[n];
      return side ? coverage(side, p, q) : 0;
    });
    if (Math.min(...cover) < SEEN.each || cover.reduce((x, y) => x + y, 0) / 4 < SEEN.mean) return;
    const orders = [corners, [...corners.slice(1), ...corners.slice(0, 1)]];
    const [best] = orders
      .map(order => ({ order, off: shapeOff(order, of.size, of.lens) }))
      .toSorted((x, y) => x.off - y.off);
    if (!best || best.off > 1) return;
    const sharp = ends.map(([p, q]) => sharpness(p, q, of.slopes));
    if (Math.min(...sharp) < SEEN.sharp) return;
    const [p, q, r, s] = best.order;
    if (!p || !q || !r || !s) return;
    const score = (sharp.reduce((x, y) => x + y, 0) / 4) * (1 - 0.4 * best.off ** 2);
    found.push({ corners: [p, q, r, s], score });
  };
  edges.forEach((a, i) => {
    const own = meets[i];
    if (!own || own.size < 2) return;
    for (let k = i + 1; k < edges.length; k += 1) {
      const c = edges[k];
      const others = meets[k];
      if (!c || !others || parted(a.angle, c.angle) > TURN.opposite) continue;
      const both = [...own.keys()].filter(n => others.has(n));
      both.forEach((j, n) =>
        both.slice(n + 1).forEach(l => {
          if (parted(edges[j]?.angle ?? 0, edges[l]?.angle ?? 0) < TURN.opposite) consider([i, j, k, l]);
        }),
      );
    }
  });
  const kept: Quad[] = [];
  for (const quad of found.toSorted((a, b) => b.score - a.score)) {
    if (kept.length >= 8) break;
    if (!kept.some(other => isSameQuad(other, quad))) kept.push(quad);
  }
  return kept;
};
