import type { Point } from '../outline/polygon';
import { type Light, lightOfByte, type Pixels } from '../picture/pixels';

/** What a picture shows between its pixels, as an eye sees it, roughly: the square root of light. @param c 0 red, 1 green, 2 blue */
export type Sampled = (x: number, y: number, c: number) => number;

const SEEN_OF = Float32Array.from({ length: 256 }, (_, byte) => Math.sqrt(lightOfByte(byte)));

/** Samples a picture as it is; nothing of it is worked out before it is asked for. */
export const sampledOf = ({ width, height, data }: Pixels): Sampled => {
  const row = 4 * width;
  return (x, y, c) => {
    const [fx, fy] = [x - 0.5, y - 0.5];
    const x0 = Math.min(width - 2, Math.max(0, Math.floor(fx)));
    const y0 = Math.min(height - 2, Math.max(0, Math.floor(fy)));
    const [u, v] = [Math.min(1, Math.max(0, fx - x0)), Math.min(1, Math.max(0, fy - y0))];
    const at = y0 * row + 4 * x0 + c;
    const upper = (SEEN_OF[data[at] ?? 0] ?? 0) * (1 - u) + (SEEN_OF[data[at + 4] ?? 0] ?? 0) * u;
    const lower = (SEEN_OF[data[at + row] ?? 0] ?? 0) * (1 - u) + (SEEN_OF[data[at + row + 4] ?? 0] ?? 0) * u;
    return upper * (1 - v) + lower * v;
  };
};

/** Adds the light between pixels, of its three colours. */
export const addLight = (to: Float64Array, { width, height, rgb }: Light, { x, y }: Point): void => {
  const fx = x - 0.5;
  const fy = y - 0.5;
  const x0 = Math.min(width - 2, Math.max(0, Math.floor(fx)));
  const y0 = Math.min(height - 2, Math.max(0, Math.floor(fy)));
  const u = Math.min(1, Math.max(0, fx - x0));
  const v = Math.min(1, Math.max(0, fy - y0));
  const start = 3 * (y0 * width + x0);
  const row = 3 * width;
  for (let c = 0; c < 3; c += 1) {
    const at = start + c;
    const above = (rgb[at] ?? 0) * (1 - u) + (rgb[at + 3] ?? 0) * u;
    const below = (rgb[at + row] ?? 0) * (1 - u) + (rgb[at + row + 3] ?? 0) * u;
    to[c] = (to[c] ?? 0) + above * (1 - v) + below * v;
  }
};
