import { Matrix, solve } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { leastSquares } from '../numeric/leastSquares';
import { normal, seeded } from '../numeric/random';
import { type Camera, pixelOf, rotationOf, tiltOf, turnedBy, viewOf } from './camera';
import { poseOf } from './pose';
import { cornersOf, planeMap, type Quad } from './quads';
import { REFERENCES } from './references';

const PICTURE = { width: 2000, height: 1500 };
const cameraFor = (tiltDeg: number, way: number, more: Partial<Camera> = {}): Camera => {
  const tilt = (tiltDeg * Math.PI) / 180;
  return {
    turned: turnedBy(rotationOf(0, 0, 0.3), rotationOf(tilt * Math.cos(way), tilt * Math.sin(way), 0)),
    shift: { x: -60, y: 40, z: 620 },
    focalPx: 1500,
    middle: { x: 1000, y: 750 },
    bend: 0.006,
    ...more,
  };
};

/** Where the sides of a thing are seen by a camera, to within a deviation. */
const seenBy = (camera: Camera, size: (typeof REFERENCES)['card'], sd: number, seed: number) => {
  const random = seeded(seed);
  const corners = cornersOf(size);
  const [a, b, c, d] = corners.map(p => pixelOf(camera, { ...p, z: 0 }));
  if (!a || !b || !c || !d) throw new Error('It has four corners.');
  const quad: Quad['corners'] = [a, b, c, d];
  const sides = corners.map((p, n) => {
    const q = corners[(n + 1) % 4] ?? p;
    return {
      broadPx: 2,
      points: Array.from({ length: 40 }, (_, i) => {
        const t = 0.1 + (0.8 * i) / 39;
        const px = pixelOf(camera, { x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y), z: 0 });
        return { x: px.x + sd * normal(random), y: px.y + sd * normal(random) };
      }),
    };
  });
  return { quad, sides };
};

describe('a plane seen by a camera', () => {
  it('is mapped exactly by four corners, as eight equations of a library have it', () => {
    const from = cornersOf(REFERENCES.a4);
    const to = [
      { x: 100, y: 80 },
      { x: 900, y: 120 },
      { x: 860, y: 700 },
      { x: 60, y: 640 },
    ];
    const h = planeMap(from, to) ?? [];
    from.forEach((p, i) => {
      const w = (h[6] ?? 0) * p.x + (h[7] ?? 0) * p.y + (h[8] ?? 0);
      expect(((h[0] ?? 0) * p.x + (h[1] ?? 0) * p.y + (h[2] ?? 0)) / w).toBeCloseTo(to[i]?.x ?? 0, 6);
      expect(((h[3] ?? 0) * p.x + (h[4] ?? 0) * p.y + (h[5] ?? 0)) / w).toBeCloseTo(to[i]?.y ?? 0, 6);
    });
    expect(
      planeMap(
        [from[0], from[0], from[0], from[0]].flatMap(p => (p ? [p] : [])),
        to,
      ),
    ).toBeNull();
  });
});

describe('the camera that sees a card', () => {
  it('is found from its sides: lengths beside it come out right, from straight above and aslant', () => {
    for (const [tilt, way] of [
      [0, 0],
      [12, 1],
      [25, 4],
      [33, 2.5],
    ] as const) {
      const camera = cameraFor(tilt, way);
      const { quad, sides } = seenBy(camera, REFERENCES.a4, 0, 1);
      const pose = poseOf(quad, sides, { size: REFERENCES.a4, picture: PICTURE });
      expect(pose?.offPx).toBeLessThan(0.05);
      const view = pose && viewOf(pose.camera);
      const ends = [
        { x: 180, y: -90 },
        { x: 180, y: 160 },
      ].map(p => pixelOf(camera, { ...p, z: 0 }));
      const [a, b] = ends.map(p => view?.(p) ?? { x: 0, y: 0 });
      expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0)) / 250).toBeCloseTo(1, 2);
      expect(Math.abs(tiltOf(pose?.camera ?? camera) - tiltOf(camera))).toBeLessThan(0.03);
    }
  });

  it('is as uncertain as it says: of forty noisy ones a length is within two deviations nearly always', () => {
    let within = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const camera = cameraFor(5 + (seed % 5) * 5, seed, { focalPx: 1500 * Math.exp(0.04 * Math.sin(seed)) });
      const { quad, sides } = seenBy(camera, REFERENCES.card, 0.3, seed);
      const pose = poseOf(quad, sides, { size: REFERENCES.card, picture: PICTURE });
      const [a = { x: 0, y: 0 }, b = { x: 0, y: 0 }] = [
        { x: 60, y: -100 },
        { x: 60, y: 150 },
      ].map(p => pixelOf(camera, { ...p, z: 0 }));
      const lengthBy = (of: Camera): number => {
        const [p, q] = [viewOf(of)(a), viewOf(of)(b)];
        return Math.hypot(p.x - q.x, p.y - q.y);
      };
      const off = Math.abs(lengthBy(pose?.camera ?? camera) - 250);
      if (pose && off < 2 * pose.sdOf(lengthBy)) within += 1;
    }
    expect(within).toBeGreaterThanOrEqual(36);
  });

  it('is none where a side is another thing’s, or too little of it is seen', () => {
    const camera = cameraFor(10, 1);
    const { quad, sides } = seenBy(camera, REFERENCES.card, 0, 1);
    const few = sides.map((s, i) => (i === 0 ? { ...s, points: s.points.slice(0, 4) } : s));
    expect(poseOf(quad, few, { size: REFERENCES.card, picture: PICTURE })).toBeNull();
    const askew = sides.map((s, i) =>
      i === 0 ? { ...s, points: s.points.map((p, n) => ({ x: p.x, y: p.y - n })) } : s,
    );
    const pose = poseOf(quad, askew, { size: REFERENCES.card, picture: PICTURE });
    expect(pose === null || pose.offPx > 0.4).toBe(true);
  });
});

describe('least squares', () => {
  it('solves a linear problem as the normal equations of a library do', () => {
    const a = [
      [1, 2],
      [3, -1],
      [0.5, 4],
    ];
    const y = [1, 2, 3];
    const right = new Matrix(a).transpose();
    const known = solve(right.mmul(new Matrix(a)), right.mmul(Matrix.columnVector(y))).to1DArray();
    const found = leastSquares(
      x =>
        Float64Array.from(
          a,
          (row, i) => (row[0] ?? 0) * (x[0] ?? 0) + (row[1] ?? 0) * (x[1] ?? 0) - (y[i] ?? 0),
        ),
      [0, 0],
    );
    found.x.forEach((v, i) => expect(v).toBeCloseTo(known[i] ?? Number.NaN, 4));
  });

  it('finds the bottom of a bent valley', () => {
    // Source: the test function of Rosenbrock 1960, least at 1, 1 (from memory).
    const { x } = leastSquares(
      v => Float64Array.of(10 * ((v[1] ?? 0) - (v[0] ?? 0) ** 2), 1 - (v[0] ?? 0)),
      [-1.2, 1],
      100,
    );
    expect(x[0]).toBeCloseTo(1, 4);
    expect(x[1]).toBeCloseTo(1, 4);
  });
});
