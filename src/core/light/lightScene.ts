import { insideOf } from '../evenness/layOut';
import { normal, type Random, seeded } from '../numeric/random';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';
import { byteOf, type Pixels } from '../picture/pixels';

/** A made-up thin place. */
export interface ScenePlace {
  readonly at: Point;
  readonly acrossMm: number;
  /** What it has, as a share of what is round it. */
  readonly share: number;
}

/** What a made-up picture shows; all else of it comes of its seed. */
export interface LightScene {
  readonly outline: readonly Polygon[];
  readonly places: readonly ScenePlace[];
  readonly seed: number;
  readonly longPx?: number;
  /** Light behind it, 0 to 1; about 0.6 when left out. Above 1 it is bleached. */
  readonly lamp?: number;
  /** How much of the light the wool keeps back, as −log of what comes through; drawn when left out. */
  readonly keeps?: number;
  /** The piece reaches beyond the picture by so much of its width. */
  readonly beyond?: number;
  /** No light is behind it: a table under a lamp. */
  readonly onTable?: boolean;
}

/** Something that goes up and down over the plane without a pattern: mean 0, deviation about 1. @param waveMm its usual length */
const unevenness = (random: Random, waveMm: number): ((p: Point) => number) => {
  const waves = Array.from({ length: 14 }, () => {
    const [angle, phase] = [2 * Math.PI * random(), 2 * Math.PI * random()];
    const k = (2 * Math.PI) / (waveMm * (0.6 + 0.8 * random()));
    return { x: k * Math.cos(angle), y: k * Math.sin(angle), phase };
  });
  const each = Math.sqrt(2 / waves.length);
  return p => waves.reduce((sum, w) => sum + each * Math.cos(w.x * p.x + w.y * p.y + w.phase), 0);
};

/** How far within an outline each cell of a grid is, cells, up to a limit: two passes. */
const depthOf = (inside: Uint8Array, columns: number, most: number): Float32Array => {
  const depth = Float32Array.from(inside, on => (on === 1 ? most : 0));
  const less = (cell: number, from: number, by: number): void => {
    depth[cell] = Math.min(depth[cell] ?? 0, (depth[from] ?? 0) + by);
  };
  for (let cell = 0; cell < depth.length; cell += 1) {
    less(cell, cell - 1, 1);
    less(cell, cell - columns, 1);
    less(cell, cell - columns - 1, Math.SQRT2);
    less(cell, cell - columns + 1, Math.SQRT2);
  }
  for (let cell = depth.length - 1; cell >= 0; cell -= 1) {
    less(cell, cell + 1, 1);
    less(cell, cell + columns, 1);
    less(cell, cell + columns + 1, Math.SQRT2);
    less(cell, cell + columns - 1, Math.SQRT2);
  }
  return depth;
};

/** Up to three thin places of 2 to 4 cm, at 30 to 50 % of what is round them, well within an outline and well apart. */
export const somePlaces = (outline: Polygon, seed: number): readonly ScenePlace[] => {
  const random = seeded(seed);
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  const cellMm = 4;
  const grid = {
    cellMm,
    left: minX,
    top: minY,
    columns: Math.ceil((maxX - minX) / cellMm),
    rows: Math.ceil((maxY - minY) / cellMm),
  };
  const inside = insideOf([outline], grid);
  const isIn = (x: number, y: number): boolean => {
    const [c, r] = [Math.floor((x - minX) / cellMm), Math.floor((y - minY) / cellMm)];
    return c >= 0 && r >= 0 && c < grid.columns && r < grid.rows && inside[r * grid.columns + c] === 1;
  };
  const places: ScenePlace[] = [];
  for (let tries = 0; tries < 200 && places.length < 3; tries += 1) {
    const acrossMm = 20 + 20 * random();
    const at = { x: minX + (maxX - minX) * random(), y: minY + (maxY - minY) * random() };
    const reach = acrossMm / 2 + 12;
    const round = Array.from({ length: 12 }, (_, i) => (i * Math.PI) / 6);
    const isWithin = round.every(a => isIn(at.x + reach * Math.cos(a), at.y + reach * Math.sin(a)));
    if (isWithin && places.every(p => Math.hypot(p.at.x - at.x, p.at.y - at.y) > 60))
      places.push({ at, acrossMm, share: 0.3 + 0.2 * random() });
  }
  return places;
};

const CELL_MM = 2;
const RIM_MM = 8;
/** How uneven wool lies that is called even, as a share of its mean: over a hand, and over a finger. Common practice; as tidy hands come out. */
const UNEVEN = { slow: 0.09, fine: 0.11 } as const;

/**
 * A made-up picture of a piece against the light: wool that lies unevenly, thins out at its rim and is fuzzy, a backdrop brighter in one place than in
 * another, a camera that is held askew, with noise and eight bits. The same scene gives the same picture everywhere. It stands in for a camera, and is
 * what the check was tried on.
 */
export const lightPicture = (scene: LightScene): Pixels => {
  const random = seeded(scene.seed);
  const { outline, places, longPx = 900, lamp = 0.6, beyond = 0, onTable = false } = scene;
  const box = boundsOf(outline.flat());
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const turn = ((random() < 0.5 ? 0 : 90) + 8 * normal(random)) * (Math.PI / 180);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const seenWide = Math.abs(cos) * wide + Math.abs(sin) * high;
  const seenHigh = Math.abs(sin) * wide + Math.abs(cos) * high;
  const isUpright = seenHigh > seenWide;
  const [width, height] = isUpright
    ? [Math.round(0.75 * longPx), longPx]
    : [longPx, Math.round(0.75 * longPx)];
  const fills = 0.62 + 0.2 * random();
  const mmPerPx = Math.max(seenWide / width, seenHigh / height) / fills;
  const shift = { x: (0.04 * (random() - 0.5) + beyond) * width, y: 0.04 * (random() - 0.5) * height };
  const keeps = scene.keeps ?? 0.7 + 1.1 * random();
  const tint = [1, 0.75 + 0.4 * random(), 0.8 + 0.5 * random()];
  const light = [1, 0.92 + 0.1 * random(), 0.82 + 0.2 * random()];
  const [gx, gy, bow] = [0.3 * (random() - 0.5), 0.3 * (random() - 0.5), 0.2 * random()];
  const [slow, fine] = [unevenness(random, 60), unevenness(random, 14)];
  const grid = {
    cellMm: CELL_MM,
    left: box.minX - 20,
    top: box.minY - 20,
    columns: Math.ceil((wide + 40) / CELL_MM),
    rows: Math.ceil((high + 40) / CELL_MM),
  };
  const depth = depthOf(insideOf(outline, grid), grid.columns, RIM_MM / CELL_MM);
  const wool = new Float32Array(depth.length);
  depth.forEach((d, cell) => {
    if (d === 0) return;
    const p = {
      x: grid.left + ((cell % grid.columns) + 0.5) * CELL_MM,
      y: grid.top + (Math.floor(cell / grid.columns) + 0.5) * CELL_MM,
    };
    const rim = 0.35 + 0.65 * Math.min(1, (d * CELL_MM) / RIM_MM);
    const thinned = places.reduce((share, place) => {
      // A thin place has no sharp edge: the wool runs out over a third of its width.
      const r = Math.hypot(p.x - place.at.x, p.y - place.at.y) / (place.acrossMm / 2);
      const within = Math.min(1, Math.max(0, (1.2 - r) / 0.4));
      return share * (1 - within * (1 - place.share));
    }, 1);
    wool[cell] = rim * thinned * Math.max(0.3, 1 + UNEVEN.slow * slow(p) + UNEVEN.fine * fine(p));
  });
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [u, v] = [(x - width / 2 - shift.x) * mmPerPx, (y - height / 2 - shift.y) * mmPerPx];
      const p = { x: middle.x + cos * u + sin * v, y: middle.y - sin * u + cos * v };
      const [c, r] = [Math.floor((p.x - grid.left) / CELL_MM), Math.floor((p.y - grid.top) / CELL_MM)];
      const isIn = c >= 0 && r >= 0 && c < grid.columns && r < grid.rows;
      const here = isIn ? (wool[r * grid.columns + c] ?? 0) : 0;
      const [nx, ny] = [(2 * x) / width - 1, (2 * y) / height - 1];
      const behind = lamp * (1 + gx * nx + gy * ny - bow * (nx * nx + ny * ny));
      for (let k = 0; k < 3; k += 1) {
        const passes = onTable
          ? here > 0
            ? 0.35
            : 0.08 + 0.05 * Math.sin(x / 9)
          : behind * (light[k] ?? 1) * Math.exp(-keeps * (tint[k] ?? 1) * here);
        data[4 * (y * width + x) + k] = byteOf(
          passes + (0.002 + 0.01 * Math.sqrt(Math.max(0, passes))) * normal(random),
        );
      }
      data[4 * (y * width + x) + 3] = 255;
    }
  return { width, height, data };
};
