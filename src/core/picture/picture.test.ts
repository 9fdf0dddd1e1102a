import { converter } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { insideOf } from '../evenness/layOut';
import type { Point } from '../outline/polygon';
import { box, ellipse } from '../outline/shapes';
import { type Blob, largestBlob } from './blob';
import { layOutlineOn } from './layOutlineOn';
import { byteOf, lightOf } from './pixels';

const linear = converter('lrgb');
const ofGrey = (byte: number) => ({ width: 1, height: 1, data: Uint8ClampedArray.of(byte, byte, byte, 255) });

describe('light of a picture', () => {
  it('is that of sRGB, as a colour library has it, and goes back to the same byte', () => {
    for (let byte = 0; byte < 256; byte += 1) {
      const light = lightOf(ofGrey(byte), 1).rgb[0] ?? Number.NaN;
      expect(light).toBeCloseTo(linear({ mode: 'rgb', r: byte / 255, g: 0, b: 0 }).r, 6);
      expect(byteOf(light)).toBe(byte);
    }
  });

  it('made smaller is the mean light of a block, not of its bytes', () => {
    const data = Uint8ClampedArray.from([0, 255, 0, 255].flatMap(v => [v, v, v, 255]));
    expect(lightOf({ width: 2, height: 2, data }, 1).rgb[0]).toBeCloseTo(0.5, 6);
  });
});

/** A mask of text: x is on. */
const gridOf = (...rows: readonly string[]) => ({
  width: rows[0]?.length ?? 0,
  height: rows.length,
  is: (cell: number): boolean => rows.join('')[cell] === 'x',
});
const textOf = ({ mask }: Blob, width: number): readonly string[] =>
  Array.from({ length: mask.length / width }, (_, r) =>
    [...mask.subarray(r * width, (r + 1) * width)].map(on => (on === 1 ? 'x' : '.')).join(''),
  );

describe('what belongs together in a picture', () => {
  it('is its largest part, with what it encloses, and nothing that only touches it by a corner', () => {
    const grid = gridOf('xx.....', '..xxxx.', '..x..x.', '..x.xx.', '..xxx..', 'x......');
    const blob = largestBlob(grid, grid.is);
    expect(textOf(blob, 7)).toEqual(['.......', '..xxxx.', '..xxxx.', '..xxxx.', '..xxx..', '.......']);
    expect(blob.cells).toBe(15);
  });

  it('is nothing where there is nothing', () => {
    const grid = gridOf('...', '...');
    expect(largestBlob(grid, grid.is).cells).toBe(0);
  });
});

/** An outline with no symmetry: a sheet with a tongue at one corner. */
const TONGUE: readonly Point[] = [
  { x: 0, y: 0 },
  { x: 200, y: 0 },
  { x: 200, y: 120 },
  { x: 120, y: 120 },
  { x: 120, y: 260 },
  { x: 0, y: 260 },
];

/** The outline as a camera sees it: turned, seen from the back or not, so many mm to the pixel. */
const seenAs = (of: { readonly deg: number; readonly isMirrored: boolean; readonly mmPerPx: number }) => {
  const [cos, sin] = [Math.cos((of.deg * Math.PI) / 180), Math.sin((of.deg * Math.PI) / 180)];
  const toPicture = ({ x, y }: Point): Point => {
    const [u, v] = [((of.isMirrored ? -1 : 1) * (x - 100)) / of.mmPerPx, (y - 130) / of.mmPerPx];
    return { x: 240 + cos * u - sin * v, y: 240 + sin * u + cos * v };
  };
  const picture = { width: 480, height: 480 };
  const mask = insideOf([TONGUE.map(toPicture)], { cellMm: 1, left: 0, top: 0, columns: 480, rows: 480 });
  return { picture, toPicture, blob: { mask, cells: mask.reduce((a, b) => a + b, 0) } };
};

describe('an outline laid onto a picture', () => {
  it('lies where it was seen, however it was turned, from its front and its back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.boolean(),
        fc.double({ min: 0.8, max: 2, noNaN: true }),
        (deg, isMirrored, mmPerPx) => {
          const { picture, toPicture, blob } = seenAs({ deg, isMirrored, mmPerPx });
          const laid = layOutlineOn([TONGUE], blob, picture);
          expect(laid?.isMirrored).toBe(isMirrored);
          expect(laid?.isTurnUnknown).toBe(false);
          expect(laid?.isSideUnknown).toBe(false);
          expect(laid?.mmPerPx).toBeCloseTo(mmPerPx, 1);
          for (const p of TONGUE) {
            const at = laid?.toOutline(toPicture(p)) ?? { x: 0, y: 0 };
            expect(Math.hypot(at.x - p.x, at.y - p.y)).toBeLessThan(8);
            const back = laid?.toPicture(at) ?? { x: 0, y: 0 };
            expect(Math.hypot(back.x - toPicture(p).x, back.y - toPicture(p).y)).toBeLessThan(1e-6);
          }
        },
      ),
      { numRuns: 12, seed: 4 },
    );
  });

  it('of what looks alike turned round it says so, and of another shape that they disagree', () => {
    const picture = { width: 300, height: 300 };
    const grid = { cellMm: 1, left: -150, top: -150, columns: 300, rows: 300 };
    const maskOf = (outline: readonly Point[]): Blob => {
      const mask = insideOf([outline], grid);
      return { mask, cells: mask.reduce((a, b) => a + b, 0) };
    };
    expect(layOutlineOn([ellipse(200, 200)], maskOf(ellipse(200, 200)), picture)?.isTurnUnknown).toBe(true);
    expect(layOutlineOn([box(200, 100)], maskOf(box(200, 100)), picture)?.isTurnUnknown).toBe(true);
    // A kite has a tip and a tail, and no front: its turn is known and its side is not.
    const kite = [
      { x: -100, y: 0 },
      { x: 30, y: 60 },
      { x: 60, y: 0 },
      { x: 30, y: -60 },
    ];
    const laid = layOutlineOn([kite], maskOf(kite), picture);
    expect([laid?.isTurnUnknown, laid?.isSideUnknown]).toEqual([false, true]);
    const other = layOutlineOn([box(200, 60)], maskOf(ellipse(180, 180)), picture);
    expect(other?.overlap).toBeLessThan(0.7);
    expect(layOutlineOn([], maskOf(box(9, 9)), picture)).toBeNull();
    // A pixel that would have to be larger than it can be.
    const plain = layOutlineOn([box(200, 60)], maskOf(box(200, 60)), picture)?.mmPerPx ?? 0;
    const limited = (least: number, most: number) =>
      layOutlineOn([box(200, 60)], maskOf(box(200, 60)), { ...picture, mmPerPx: [least, most] });
    expect(limited(0.9 * plain, 1.1 * plain)?.mmPerPx).toBe(plain);
    expect(limited(0.5 * plain, 0.9 * plain)).toBeNull();
    expect(limited(1.1 * plain, 2 * plain)).toBeNull();
  });
});
