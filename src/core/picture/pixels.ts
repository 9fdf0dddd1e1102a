/** A picture as a camera gives it: four bytes a pixel, red, green, blue and one that is not used, row by row from its top left corner. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** A picture in light: so much of each colour as came in, 0 to 1, each pixel's three one after the other. */
export interface Light {
  readonly width: number;
  readonly height: number;
  readonly rgb: Float32Array;
}

/** Light of a byte. Source: the transfer function of sRGB, IEC 61966-2-1 (from memory). */
const LIGHT_OF = Float32Array.from({ length: 256 }, (_, i) => {
  const v = i / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** Light of a byte, 0 to 255. */
export const lightOfByte = (byte: number): number => LIGHT_OF[byte] ?? 0;

/** Bytes of light in so many steps: finer than the steps of eight bits even where it is dark. */
const STEPS = 65_535;
const BYTE_OF = Uint8Array.from({ length: STEPS + 1 }, (_, i) => {
  const v = i / STEPS;
  return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
});

/** The byte of so much light: the way back. @param light 0 to 1; what is beyond is cut off */
export const byteOf = (light: number): number =>
  BYTE_OF[Math.round(STEPS * Math.min(1, Math.max(0, light)))] ?? 0;

/**
 * A picture as light, made smaller by whole steps until its long side has no more than so many pixels: the mean light of each block, which is what
 * a coarser camera would have seen.
 * @param longestPx ≥ 1
 */
export const lightOf = ({ width, height, data }: Pixels, longestPx: number): Light => {
  const step = Math.max(1, Math.ceil(Math.max(width, height) / longestPx));
  const [w, h] = [Math.floor(width / step), Math.floor(height / step)];
  const rgb = new Float32Array(3 * w * h);
  const each = 1 / (step * step);
  for (let y = 0; y < h * step; y += 1) {
    let to = 3 * Math.floor(y / step) * w;
    let from = 4 * y * width;
    for (let x = 0; x < w; x += 1) {
      let r = 0;
      let g = 0;
      let b = 0;
      for (let k = 0; k < step; k += 1) {
        r += LIGHT_OF[data[from] ?? 0] ?? 0;
        g += LIGHT_OF[data[from + 1] ?? 0] ?? 0;
        b += LIGHT_OF[data[from + 2] ?? 0] ?? 0;
        from += 4;
      }
      rgb[to] = (rgb[to] ?? 0) + each * r;
      rgb[to + 1] = (rgb[to + 1] ?? 0) + each * g;
      rgb[to + 2] = (rgb[to + 2] ?? 0) + each * b;
      to += 3;
    }
  }
  return { width: w, height: h, rgb };
};
