import type { Point } from '../outline/polygon';

/** A place over the table, mm: x and y on it, z above it. */
export interface Place extends Point {
  readonly z: number;
}

/** Nine numbers, row by row: how the table is turned before the camera. */
export type Rotation = readonly [number, number, number, number, number, number, number, number, number];

/** A camera over a table: a pinhole with one coefficient of a lens that bends. The table's x runs right and its y towards the person. */
export interface Camera {
  readonly turned: Rotation;
  /** Where the table's origin lies before the camera, mm: right, down, away. */
  readonly shift: Place;
  /** Focal length in pixels, and the pixel the lens looks at. */
  readonly focalPx: number;
  readonly middle: Point;
  /** Radial distortion, of the square of the distance from the middle in focal lengths. */
  readonly bend: number;
}

/** A rotation from its axis times its angle in radians. Source: Rodrigues’ formula. */
export const rotationOf = (x: number, y: number, z: number): Rotation => {
  const angle = Math.hypot(x, y, z);
  if (angle < 1e-12) return [1, -z, y, z, 1, -x, -y, x, 1];
  const [u, v, w] = [x / angle, y / angle, z / angle];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const k = 1 - c;
  return [
    c + u * u * k,
    u * v * k - w * s,
    u * w * k + v * s,
    v * u * k + w * s,
    c + v * v * k,
    v * w * k - u * s,
    w * u * k - v * s,
    w * v * k + u * s,
    c + w * w * k,
  ];
};

/** One rotation after another: `by` is done last. */
export const turnedBy = (by: Rotation, first: Rotation): Rotation => {
  const at = (r: number, c: number): number =>
    [0, 1, 2].reduce((sum, k) => sum + (by[3 * r + k] ?? 0) * (first[3 * k + c] ?? 0), 0);
  return [at(0, 0), at(0, 1), at(0, 2), at(1, 0), at(1, 1), at(1, 2), at(2, 0), at(2, 1), at(2, 2)];
};

/** Axis times angle of a rotation: the way back, for less than half a turn. */
export const axisOf = (r: Rotation): readonly [number, number, number] => {
  const angle = Math.acos(Math.min(1, Math.max(-1, (r[0] + r[4] + r[8] - 1) / 2)));
  const [x, y, z] = [r[7] - r[5], r[2] - r[6], r[3] - r[1]];
  const length = Math.hypot(x, y, z);
  if (length > 1e-9) return [(angle * x) / length, (angle * y) / length, (angle * z) / length];
  if (angle < 1) return [0, 0, 0];
  // Half a turn: the axis is read from the diagonal.
  const [a, b, c] = [0, 4, 8].map(i => Math.sqrt(Math.max(0, ((r[i] ?? 0) + 1) / 2)));
  return [
    Math.PI * (a ?? 0),
    Math.PI * Math.sign(r[1] || 1) * (b ?? 0),
    Math.PI * Math.sign(r[2] || 1) * (c ?? 0),
  ];
};

/** The pixels in which places at one height over the table are seen: what does not change with the place is worked out once, and each pixel is written into `to`. */
export const pixelsOver = (
  { turned: r, shift, focalPx, middle, bend }: Camera,
  heightMm: number,
): ((x: number, y: number, to: { x: number; y: number }) => void) => {
  const u0 = shift.x - r[2] * heightMm;
  const v0 = shift.y - r[5] * heightMm;
  const away = shift.z - r[8] * heightMm;
  return (x, y, to) => {
    const far = r[6] * x + r[7] * y + away;
    const u = (r[0] * x + r[1] * y + u0) / far;
    const v = (r[3] * x + r[4] * y + v0) / far;
    const k = focalPx * (1 + bend * (u * u + v * v));
    to.x = middle.x + k * u;
    to.y = middle.y + k * v;
  };
};

/** The pixel in which a place over the table is seen. */
export const pixelOf = (camera: Camera, { x, y, z }: Place): Point => {
  const to = { x: 0, y: 0 };
  pixelsOver(camera, z)(x, y, to);
  return to;
};

/** Where a pixel would lie if the lens did not bend, in focal lengths from the middle. */
export const straightened = ({ focalPx, middle, bend }: Camera, px: Point): Point => {
  const [u, v] = [(px.x - middle.x) / focalPx, (px.y - middle.y) / focalPx];
  let k = 1;
  for (let round = 0; round < 4; round += 1) k = 1 / (1 + bend * k * k * (u * u + v * v));
  return { x: k * u, y: k * v };
};

/** Where the camera is: over the table, mm. */
export const eyeOf = ({ turned: r, shift: t }: Camera): Place => ({
  x: -(r[0] * t.x + r[3] * t.y + r[6] * t.z),
  y: -(r[1] * t.x + r[4] * t.y + r[7] * t.z),
  z: r[2] * t.x + r[5] * t.y + r[8] * t.z,
});

/** What a camera sees: the place at a height over the table that a pixel shows. What does not change with the pixel is worked out once. */
export const viewOf = (camera: Camera): ((px: Point, heightMm?: number) => Point) => {
  const { turned: r } = camera;
  const eye = eyeOf(camera);
  return (px, heightMm = 0) => {
    const { x: u, y: v } = straightened(camera, px);
    const along = (eye.z - heightMm) / (r[2] * u + r[5] * v + r[8]);
    return {
      x: eye.x + along * (r[0] * u + r[3] * v + r[6]),
      y: eye.y + along * (r[1] * u + r[4] * v + r[7]),
    };
  };
};

/** How far it looks from straight down, radians. */
export const tiltOf = ({ turned }: Camera): number => Math.acos(Math.min(1, Math.abs(turned[8])));
