import { normal, type Random, seeded } from '../numeric/random';
import type { Point } from '../outline/polygon';
import { byteOf, type Pixels } from '../picture/pixels';
import { type Camera, rotationOf, turnedBy, viewOf } from './camera';
import { depthField } from './depthField';
import { layTable, luma, type PhotoScene, pick, printOn, within } from './sceneTable';
import { type Colour, noiseOf, tableLook } from './tableLook';

/** A made-up picture, and what is true of it. */
export interface Photo {
  readonly pixels: Pixels;
  readonly camera: Camera;
  /** From the outline's own frame onto the table, mm. */
  readonly onTable: (p: Point) => Point;
}

const FELTS: readonly Colour[] = [
  [0.42, 0.06, 0.05],
  [0.08, 0.2, 0.32],
  [0.05, 0.05, 0.055],
  [0.72, 0.66, 0.55],
  [0.62, 0.34, 0.06],
  [0.12, 0.25, 0.1],
  [0.3, 0.2, 0.13],
];
const blend = (a: Colour, b: Colour, share: number): Colour => [
  a[0] + share * (b[0] - a[0]),
  a[1] + share * (b[1] - a[1]),
  a[2] + share * (b[2] - a[2]),
];
const dim = (a: Colour, by: number): Colour => [a[0] * by, a[1] * by, a[2] * by];
const soft = (v: number): number => {
  const t = Math.min(1, Math.max(0, v));
  return t * t * (3 - 2 * t);
};

/** A camera held over all that lies there. */
const holdCamera = (scene: PhotoScene, all: ReturnType<typeof layTable>['all'], random: Random) => {
  const { longPx = 1400, isCut = false } = scene;
  const middle = { x: (all.minX + all.maxX) / 2, y: (all.minY + all.maxY) / 2 };
  const [wide, high] = [all.maxX - all.minX, all.maxY - all.minY];
  const isUpright = high > wide;
  const [width, height] = isUpright
    ? [Math.round(0.75 * longPx), longPx]
    : [longPx, Math.round(0.75 * longPx)];
  const focalPx = (27 / 36) * longPx * (1 + 0.04 * normal(random));
  const fills = scene.fills ?? 0.66 + 0.18 * random();
  const far = (focalPx * Math.max(wide / width, high / height)) / fills;
  const tilt = ((scene.tiltDeg ?? 22 * random()) * Math.PI) / 180;
  const [way, roll] = [2 * Math.PI * random(), 0.12 * normal(random)];
  const tilted = rotationOf(tilt * Math.cos(way), tilt * Math.sin(way), 0);
  const turned = turnedBy(rotationOf(0, 0, roll), tilted);
  const off = isCut ? { x: 0.5 * wide, y: 0.1 * high } : { x: 0, y: 0 };
  const [x, y] = [middle.x + off.x, middle.y + off.y];
  const camera: Camera = {
    turned,
    shift: {
      x: -(turned[0] * x + turned[1] * y),
      y: -(turned[3] * x + turned[4] * y),
      z: far - (turned[6] * x + turned[7] * y),
    },
    focalPx,
    middle: { x: width * (0.5 + 0.004 * normal(random)), y: height * (0.5 + 0.004 * normal(random)) },
    bend: scene.bend ?? 0.012 * normal(random),
  };
  return { camera, width, height };
};
/** A pen’s line is twice so broad, mm; and what it leaves. */
const PEN_MM = 0.7;
const INK: Colour = [0.04, 0.04, 0.06];

/** Blurs light along one way by a bell of a deviation, px. */
const blurred = (
  light: Float32Array,
  of: { readonly width: number; readonly height: number; readonly sd: number },
): Float32Array => {
  const { width, height, sd } = of;
  const reach = Math.ceil(2.5 * sd);
  const bell = Float32Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sd * sd)),
  );
  const sum = bell.reduce((a, b) => a + b, 0);
  const pass = (from: Float32Array, step: number, length: number): Float32Array => {
    const to = new Float32Array(from.length);
    for (let i = 0; i < width * height; i += 1) {
      const at = Math.floor(i / step) % length;
      for (let k = -reach; k <= reach; k += 1) {
        const j = i + (Math.min(length - 1, Math.max(0, at + k)) - at) * step;
        const w = (bell[k + reach] ?? 0) / sum;
        to[3 * i] = (to[3 * i] ?? 0) + w * (from[3 * j] ?? 0);
        to[3 * i + 1] = (to[3 * i + 1] ?? 0) + w * (from[3 * j + 1] ?? 0);
        to[3 * i + 2] = (to[3 * i + 2] ?? 0) + w * (from[3 * j + 2] ?? 0);
      }
    }
    return to;
  };
  return pass(pass(light, 1, width), width, height);
};

/**
 * A made-up picture of a piece on a table with something of a known size beside it: a camera held askew, a lens that bends, light that falls off,
 * shadows, a fuzzy rim, noise and eight bits. The same scene gives the same picture everywhere. It stands in for a camera, and is what measuring by a
 * picture was tried on.
 */
export const photoOf = (scene: PhotoScene): Photo => {
  const random = seeded(scene.seed);
  const { thickMm = 4.5 + 0.8 * normal(random), card = 'beside' } = scene;
  const look = tableLook(scene.table ?? 'plain', random, scene.tableColour);
  const { onTable, sheets, isOn, all } = layTable(scene, look.base, random);
  const { camera, width, height } = holdCamera(scene, all, random);
  const felt =
    scene.felt ??
    pick(
      FELTS.filter(f => Math.abs(Math.log(luma(f) / luma(look.base))) > 0.45),
      random,
    );
  const depth = depthField(scene.outline.map(onTable), 2, 40);
  const [wobble, hair, grain] = [noiseOf(random), noiseOf(random), noiseOf(random)];
  const fuzz = 0.5 + 0.9 * random();
  const lit = { x: normal(random), y: normal(random) };
  const lamp = {
    gx: 0.22 * normal(random),
    gy: 0.22 * normal(random),
    bow: 0.12 * random(),
    of: 0.75 + 0.2 * random(),
  };
  const shade = { x: 5 * lit.x, y: 5 * lit.y, deep: 0.15 + 0.25 * random() };
  const reference = sheets.at(-1);
  const { isDrawn = false } = scene;
  const glare = { x: (reference?.at.x ?? 0) + 38, y: (reference?.at.y ?? 0) + 20 };
  const light = new Float32Array(3 * width * height);
  const rim = Math.max(1, thickMm / 2);
  const view = viewOf(camera);
  const sheetAt = (px: Point, on: Point, under: Colour): Colour =>
    sheets.reduce((was, sheet) => {
      if (Math.hypot(on.x - sheet.at.x, on.y - sheet.at.y) > sheet.size.long + 20) return was;
      const p = view(px, sheet.z);
      const { depth: d, u, v } = within(sheet, p);
      const own =
        card === 'glare' && sheet.isCard ? Math.exp(-((p.x - glare.x) ** 2 + (p.y - glare.y) ** 2) / 500) : 0;
      const isLine = isDrawn && sheet === reference && Math.abs(depth(p)) < PEN_MM;
      const seen = isLine ? INK : printOn(sheet, u, v);
      return d < -1 ? was : blend(was, blend(seen, [1.2, 1.2, 1.2], own), soft(0.5 + d / 0.5));
    }, under);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const px = { x: x + 0.5, y: y + 0.5 };
      const p = view(px);
      const q = view(px, rim);
      let colour = look.at(p);
      const shadow = isDrawn ? 0 : soft(0.5 + depth({ x: p.x + shade.x, y: p.y + shade.y }) / 9);
      colour = dim(colour, 1 - shade.deep * shadow);
      if (!isOn) colour = sheetAt(px, p, colour);
      const plain = depth(q);
      const d =
        Math.abs(plain) > 12
          ? plain
          : plain + 0.6 * wobble(q.x / 24, q.y / 24) + 0.3 * wobble(q.x / 7, q.y / 7);
      const hairs =
        d > 0 ? 1 : d < -12 ? 0 : 0.55 * Math.exp(d / fuzz) * (1 + 0.6 * hair(q.x / 1.1, q.y / 1.1));
      const cover = Math.max(soft(0.5 + d / 1.2), Math.min(1, hairs));
      if (!isDrawn && cover > 0.005) {
        const round = Math.max(0, 1 - d / (1.4 * rim));
        const own = dim(
          felt,
          (1 + 0.09 * grain(q.x / 2.2, q.y / 2.2) + 0.05 * grain(q.x / 15, q.y / 15)) * (1 - 0.16 * round),
        );
        colour = blend(colour, own, cover);
      }
      if (isOn) colour = sheetAt(px, p, colour);
      const [nx, ny] = [(2 * x) / width - 1, (2 * y) / height - 1];
      const bright = lamp.of * (1 + lamp.gx * nx + lamp.gy * ny - lamp.bow * (nx * nx + ny * ny));
      for (let c = 0; c < 3; c += 1)
        light[3 * (y * width + x) + c] = (colour[c] ?? 0) * Math.max(0.2, bright);
    }
  const seen = blurred(light, { width, height, sd: scene.blurPx ?? 0.6 + 0.5 * random() });
  const data = new Uint8ClampedArray(4 * width * height);
  // Noise is picked from what was drawn once: a million deviates take longer than the picture.
  const grainy = Float32Array.from({ length: 4096 }, () => normal(random));
  for (let i = 0; i < width * height; i += 1) {
    for (let c = 0; c < 3; c += 1) {
      const v = seen[3 * i + c] ?? 0;
      data[4 * i + c] = byteOf(v + (0.0015 + 0.008 * Math.sqrt(v)) * (grainy[(4095 * random()) | 0] ?? 0));
    }
    data[4 * i + 3] = 255;
  }
  return { pixels: { width, height, data }, camera, onTable };
};
