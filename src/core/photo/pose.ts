import { inverse, Matrix } from 'ml-matrix';
import { leastSquares } from '../numeric/leastSquares';
import type { Point } from '../outline/polygon';
import { axisOf, type Camera, rotationOf, straightened, tiltOf, turnedBy } from './camera';
import { cornersOf, planeMap, type Quad } from './quads';
import { LENS } from './lens';
import type { ReferenceSize } from './references';
import type { SideSeen } from './sides';

/** A camera that was found, and how surely. */
export interface Pose {
  readonly camera: Camera;
  /** How far the edges lie off on average, px; and how broad they are. */
  readonly offPx: number;
  /** Deviation of something that follows from the camera: from how it changes with each of what is not known. */
  readonly sdOf: (of: (camera: Camera) => number) => number;
}

/** Deviations of a whole side, px of the picture the edges were read in: its place, and its place at an end against the middle. */
const SIDE_SD = { off: 0.19, slope: 0.16 } as const;
/** Of a single edge, px. */
const EDGE_SD = 0.5;
const UNKNOWNS = 10;
/** A lens so many deviations from what is usual is not believed. */
const ODD_LENS = 3;

interface Start {
  readonly turn: readonly [number, number, number];
  readonly shift: readonly [number, number, number];
}

/** Where a camera is, by the corners alone. */
const startFrom = (
  corners: readonly Point[],
  size: ReferenceSize,
  lens: { readonly focalPx: number; readonly middle: Point },
): Start | null => {
  const seen = corners.map(p => ({
    x: (p.x - lens.middle.x) / lens.focalPx,
    y: (p.y - lens.middle.y) / lens.focalPx,
  }));
  const h = planeMap(cornersOf(size), seen);
  if (!h) return null;
  const at = (r: number, c: number): number => h[3 * r + c] ?? 0;
  const length = (c: number): number => Math.sqrt(at(0, c) ** 2 + at(1, c) ** 2 + at(2, c) ** 2);
  const k = 2 / (length(0) + length(1));
  const a = [0, 1, 2].map(r => at(r, 0) / length(0));
  const raw = [0, 1, 2].map(r => at(r, 1) / length(1));
  const dot = a.reduce((sum, v, i) => sum + v * (raw[i] ?? 0), 0);
  const off = raw.map((v, i) => v - dot * (a[i] ?? 0));
  const norm = Math.sqrt(off.reduce((sum, v) => sum + v * v, 0));
  const b = off.map(v => v / norm);
  const [a0 = 0, a1 = 0, a2 = 0] = a;
  const [b0 = 0, b1 = 0, b2 = 0] = b;
  const c = [a1 * b2 - a2 * b1, a2 * b0 - a0 * b2, a0 * b1 - a1 * b0] as const;
  const turn = axisOf([a0, b0, c[0], a1, b1, c[1], a2, b2, c[2]]);
  return { turn, shift: [k * at(0, 2), k * at(1, 2), k * at(2, 2)] };
};

/** The other way a small flat thing may be tilted: mirrored about the line of sight. */
const mirrored = ({ turn, shift }: Start): Start => {
  const r = rotationOf(...turn);
  const far = Math.sqrt(shift[0] ** 2 + shift[1] ** 2 + shift[2] ** 2);
  const sight = shift.map(v => v / far);
  const normal = [r[2], r[5], r[8]];
  const facing = normal.reduce((sum, v, i) => sum + v * (sight[i] ?? 0), 0);
  const axis = normal.map((v, i) => 2 * facing * (sight[i] ?? 0) - v);
  // The turn that takes one normal to the other, about what is square to both.
  const [n0 = 0, n1 = 0, n2 = 0] = normal;
  const [m0 = 0, m1 = 0, m2 = 0] = axis;
  const cross = [n1 * m2 - n2 * m1, n2 * m0 - n0 * m2, n0 * m1 - n1 * m0] as const;
  const sine = Math.sqrt(cross[0] ** 2 + cross[1] ** 2 + cross[2] ** 2);
  if (sine < 1e-6) return { turn, shift };
  const angle = Math.atan2(sine, n0 * m0 + n1 * m1 + n2 * m2);
  const by = rotationOf((angle * cross[0]) / sine, (angle * cross[1]) / sine, (angle * cross[2]) / sine);
  return { turn: axisOf(turnedBy(by, r)), shift };
};

/**
 * The camera that sees the sides of a flat thing of a known size where they are seen: its place, its turn, and as far as the sides tell, its lens.
 * Null where no camera does.
 * @param picture its size, px  @param focalPx as it is believed to be; of a phone’s main lens when left out
 */
export const poseOf = (
  quad: Quad['corners'],
  sides: readonly SideSeen[],
  of: {
    readonly size: ReferenceSize;
    readonly picture: { readonly width: number; readonly height: number };
    readonly focalPx?: number;
  },
): Pose | null => {
  const { size, picture } = of;
  const long = Math.max(picture.width, picture.height);
  const focalPx = of.focalPx ?? (LENS.focal35 / 36) * long;
  const middle = { x: picture.width / 2, y: picture.height / 2 };
  const first = startFrom(quad, size, { focalPx, middle });
  if (!first) return null;
  const corners = cornersOf(size);
  const seen = sides.flatMap(({ points }, side) =>
    points.map((p, i) => ({ p, side, along: (2 * (i + 0.5)) / points.length - 1 })),
  );
  if (sides.some(s => s.points.length < 8)) return null;
  // Unknowns, each about 1 at a large step.
  const cameraAt = (x: ArrayLike<number>, from: Start): Camera => {
    const at = (i: number): number => x[i] ?? 0;
    const [sx, sy, sz] = from.shift;
    return {
      turned: rotationOf(from.turn[0] + 0.1 * at(0), from.turn[1] + 0.1 * at(1), from.turn[2] + 0.1 * at(2)),
      shift: { x: sx + 0.02 * sz * at(3), y: sy + 0.02 * sz * at(4), z: sz * Math.exp(0.05 * at(5)) },
      focalPx: focalPx * Math.exp(LENS.focalSd * at(6)),
      bend: LENS.bendSd * at(7),
      middle: { x: middle.x + LENS.middleSd * long * at(8), y: middle.y + LENS.middleSd * long * at(9) },
    };
  };
  const residualsFrom =
    (from: Start) =>
    (x: Float64Array): Float64Array => {
      const camera = cameraAt(x, from);
      const { turned: r, shift: t } = camera;
      const lines = corners.map((p, n) => {
        const q = corners[(n + 1) % 4] ?? p;
        const ends = [p, q].map(e => {
          const away = r[6] * e.x + r[7] * e.y + t.z;
          return { x: (r[0] * e.x + r[1] * e.y + t.x) / away, y: (r[3] * e.x + r[4] * e.y + t.y) / away };
        });
        const [a = { x: 0, y: 0 }, b = { x: 1, y: 0 }] = ends;
        const length = Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2);
        return { a, nx: -(b.y - a.y) / length, ny: (b.x - a.x) / length };
      });
      const out = new Float64Array(seen.length + 4);
      seen.forEach(({ p, side }, i) => {
        const line = lines[side];
        if (!line) return;
        const u = straightened(camera, p);
        const off = ((u.x - line.a.x) * line.nx + (u.y - line.a.y) * line.ny) * camera.focalPx;
        // What lies far off counts little more the further it lies.
        const z = off / EDGE_SD;
        out[i] = Math.abs(z) < 3 ? z : Math.sign(z) * Math.sqrt(6 * Math.abs(z) - 9);
      });
      for (let k = 0; k < 4; k += 1) out[seen.length + k] = x[6 + k] ?? 0;
      return out;
    };
  const [best] = [first, mirrored(first)]
    .map(from => ({
      from,
      ...leastSquares(
        residualsFrom(from),
        Array.from({ length: UNKNOWNS }, () => 0),
      ),
    }))
    .toSorted((a, b) => a.cost - b.cost);
  if (!best) return null;
  const camera = cameraAt(best.x, best.from);
  if (!(camera.shift.z > 0) || !Number.isFinite(tiltOf(camera))) return null;
  // A lens that no camera has: one of the sides is another's.
  if ([6, 7, 8, 9].some(i => Math.abs(best.x[i] ?? 0) > ODD_LENS)) return null;
  const residuals = residualsFrom(best.from)(best.x);
  const offPx =
    EDGE_SD * Math.sqrt(seen.reduce((sum, _, i) => sum + (residuals[i] ?? 0) ** 2, 0) / seen.length);
  const covariance = covarianceOf(best.jacobian, seen);
  return {
    camera,
    offPx,
    sdOf: value => {
      const at = value(camera);
      const slope = Array.from({ length: UNKNOWNS }, (_, i) => {
        const moved = Float64Array.from(best.x);
        moved[i] = (moved[i] ?? 0) + 1e-3;
        return (value(cameraAt(moved, best.from)) - at) / 1e-3;
      });
      const g = Matrix.columnVector(slope);
      return Math.sqrt(Math.max(0, g.transpose().mmul(covariance).mmul(g).get(0, 0)));
    },
  };
};

/** Covariance of the unknowns, where a whole side may be read off its place and askew: edges of one side do not err each for itself. */
const covarianceOf = (
  jacobian: Matrix,
  seen: ReadonlyArray<{ readonly side: number; readonly along: number }>,
): Matrix => {
  const known = jacobian.transpose().mmul(jacobian);
  for (let d = 0; d < UNKNOWNS; d += 1) known.set(d, d, known.get(d, d) + 1e-9);
  const spread = inverse(known);
  const meat = Matrix.zeros(UNKNOWNS, UNKNOWNS);
  for (let d = 6; d < UNKNOWNS; d += 1) meat.set(d, d, 1);
  const add = (weights: (s: (typeof seen)[number]) => number, sd: number): void => {
    const g = Array.from({ length: UNKNOWNS }, (_, d) =>
      seen.reduce((sum, s, i) => sum + weights(s) * jacobian.get(i, d), 0),
    );
    const column = Matrix.columnVector(g);
    meat.add(column.mmul(column.transpose()).mul((sd / EDGE_SD) ** 2));
  };
  for (const side of [0, 1, 2, 3]) {
    add(s => Number(s.side === side), SIDE_SD.off);
    add(s => (s.side === side ? s.along : 0), SIDE_SD.slope);
  }
  return spread.mmul(meat).mmul(spread);
};
