import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  axisOf,
  type Camera,
  eyeOf,
  pixelOf,
  rotationOf,
  straightened,
  tiltOf,
  turnedBy,
  viewOf,
} from './camera';

const small = fc.double({ min: -0.4, max: 0.4, noNaN: true });
const cameras: fc.Arbitrary<Camera> = fc
  .record({
    x: small,
    y: small,
    z: fc.double({ min: -3, max: 3, noNaN: true }),
    far: fc.double({ min: 400, max: 2000, noNaN: true }),
    bend: fc.double({ min: -0.03, max: 0.03, noNaN: true }),
  })
  .map(({ x, y, z, far, bend }) => ({
    turned: turnedBy(rotationOf(0, 0, z), rotationOf(x, y, 0)),
    shift: { x: 20, y: -35, z: far },
    focalPx: 1200,
    middle: { x: 800, y: 600 },
    bend,
  }));

describe('a camera over a table', () => {
  it('sees straight below as a pinhole does: so many pixels to the mm as its focal length has to its height', () => {
    const camera: Camera = {
      turned: [1, 0, 0, 0, 1, 0, 0, 0, 1],
      shift: { x: 0, y: 0, z: 600 },
      focalPx: 900,
      middle: { x: 500, y: 400 },
      bend: 0,
    };
    expect(pixelOf(camera, { x: 100, y: -40, z: 0 })).toEqual({ x: 500 + 150, y: 400 - 60 });
    // What stands 60 mm over the table is seen from 540 mm: a ninth larger.
    expect(pixelOf(camera, { x: 100, y: 0, z: 60 }).x).toBeCloseTo(500 + (900 * 100) / 540, 9);
    expect(eyeOf(camera)).toEqual({ x: -0, y: -0, z: 600 });
    expect(tiltOf(camera)).toBe(0);
  });

  it('gives back each place from the pixel it is seen in, at any height, however it is turned and however its lens bends', () => {
    fc.assert(
      fc.property(
        cameras,
        fc.double({ min: -150, max: 150, noNaN: true }),
        fc.double({ min: -150, max: 150, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (camera, x, y, z) => {
          const back = viewOf(camera)(pixelOf(camera, { x, y, z }), z);
          expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(0.02);
        },
      ),
      { numRuns: 300, seed: 3 },
    );
  });

  it('straightens what a lens has bent', () => {
    const camera: Camera = {
      turned: [1, 0, 0, 0, 1, 0, 0, 0, 1],
      shift: { x: 0, y: 0, z: 1 },
      focalPx: 1000,
      middle: { x: 0, y: 0 },
      bend: 0.02,
    };
    const bent = 1 + 0.02 * (0.3 ** 2 + 0.2 ** 2);
    const at = straightened(camera, { x: 300 * bent, y: 200 * bent });
    expect(at.x).toBeCloseTo(0.3, 7);
    expect(at.y).toBeCloseTo(0.2, 7);
  });

  it('has a rotation for each axis and angle, and an axis for each rotation', () => {
    fc.assert(
      fc.property(small, small, fc.double({ min: -3, max: 3, noNaN: true }), (x, y, z) => {
        const back = axisOf(rotationOf(x, y, z));
        expect(Math.hypot(back[0] - x, back[1] - y, back[2] - z)).toBeLessThan(1e-6);
      }),
      { numRuns: 200, seed: 4 },
    );
    const half = axisOf(rotationOf(0, Math.PI, 0));
    expect(Math.abs(half[1])).toBeCloseTo(Math.PI, 6);
  });
});
