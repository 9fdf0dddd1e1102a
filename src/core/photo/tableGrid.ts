import type { Point } from '../outline/polygon';
import type { Light } from '../picture/pixels';
import { type Camera, pixelsOver, viewOf } from './camera';
import { addLight } from './sampled';

/** A grid on the table as a camera sees it: what each cell looks like. */
export interface TableGrid {
  readonly cellMm: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** 1 where the cell is in the picture. */
  readonly seen: Uint8Array;
  /** Of each cell four figures: its brightness and two colours as logarithms, and how rough it is. */
  readonly looks: Float32Array;
}

/** How many figures a cell has. */
export const LOOKS = 4;

/** Cells along the long side, and the finest. */
const CELLS = 240;
const FINEST_MM = 1.2;
/** Further than this from what was laid beside it nothing is looked at, mm. */
const FAR_MM = 2500;
/** Keeps what is nearly black from having a colour. */
const BLACK = 0.015;

/** Brightness and two colours of some light, as logarithms; they change alike with the lamp. */
export const lookOf = (r: number, g: number, b: number): readonly [number, number, number] => {
  const green = Math.log(g + BLACK);
  return [
    Math.log(0.3 * r + 0.6 * g + 0.1 * b + BLACK),
    Math.log(r + BLACK) - green,
    Math.log(b + BLACK) - green,
  ];
};

/** Middle of a cell, mm. */
export const middleOf = (
  grid: Pick<TableGrid, 'cellMm' | 'left' | 'top' | 'width'>,
  cell: number,
): Point => ({
  x: grid.left + ((cell % grid.width) + 0.5) * grid.cellMm,
  y: grid.top + (Math.floor(cell / grid.width) + 0.5) * grid.cellMm,
});

/** Writes how rough each cell is beside its neighbours: the spread of brightness over five cells each way. */
const roughen = (looks: Float32Array, width: number, height: number): void => {
  const REACH = 2;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let [n, sum, squares] = [0, 0, 0];
      for (let v = Math.max(0, y - REACH); v <= Math.min(height - 1, y + REACH); v += 1)
        for (let u = Math.max(0, x - REACH); u <= Math.min(width - 1, x + REACH); u += 1) {
          const l = looks[LOOKS * (v * width + u)] ?? 0;
          n += 1;
          sum += l;
          squares += l * l;
        }
      const spread = Math.sqrt(Math.max(0, squares / n - (sum / n) ** 2));
      looks[LOOKS * (y * width + x) + 3] = 0.5 * Math.log(spread + 0.02);
    }
};

/**
 * What a camera shows of the table, at a height over it.
 * @param light of the picture  @param pxOf pixels of the camera's own picture to one of `light`
 */
export const tableGrid = (
  light: Light,
  camera: Camera,
  { heightMm, pxOf }: { readonly heightMm: number; readonly pxOf: number },
): TableGrid => {
  const view = viewOf(camera);
  const [w, h] = [light.width * pxOf, light.height * pxOf];
  const rim = [0, 0.25, 0.5, 0.75, 1].flatMap(t => [
    { x: t * w, y: 0 },
    { x: t * w, y: h },
    { x: 0, y: t * h },
    { x: w, y: t * h },
  ]);
  const near = (v: number): number => Math.min(FAR_MM, Math.max(-FAR_MM, v));
  const places = rim.map(p => view(p, heightMm));
  const [xs, ys] = [places.map(p => near(p.x)), places.map(p => near(p.y))];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const cellMm = Math.max(FINEST_MM, Math.max(wide, high) / CELLS);
  const [width, height] = [Math.ceil(wide / cellMm), Math.ceil(high / cellMm)];
  const seen = new Uint8Array(width * height);
  const looks = new Float32Array(LOOKS * width * height);
  const grid = { cellMm, left, top, width, height, seen, looks };
  const sees = pixelsOver(camera, heightMm);
  const quarter = cellMm / 4;
  const px = { x: 0, y: 0 };
  const rgb = new Float64Array(3);
  for (let cell = 0; cell < width * height; cell += 1) {
    const x = left + ((cell % width) + 0.5) * cellMm;
    const y = top + (Math.floor(cell / width) + 0.5) * cellMm;
    sees(x, y, px);
    if (!(px.x > 2 && px.y > 2 && px.x < w - 2 && px.y < h - 2)) continue;
    seen[cell] = 1;
    rgb.fill(0);
    for (let corner = 0; corner < 4; corner += 1) {
      sees(x + (corner % 2 === 0 ? -quarter : quarter), y + (corner < 2 ? -quarter : quarter), px);
      addLight(rgb, light, { x: px.x / pxOf, y: px.y / pxOf });
    }
    looks.set(lookOf((rgb[0] ?? 0) / 4, (rgb[1] ?? 0) / 4, (rgb[2] ?? 0) / 4), LOOKS * cell);
  }
  roughen(looks, width, height);
  return grid;
};
