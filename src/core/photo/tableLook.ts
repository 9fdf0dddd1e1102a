import { normal, type Random } from '../numeric/random';
import type { Point } from '../outline/polygon';

/** Light of three colours that comes back, 0 to 1 each. */
export type Colour = readonly [number, number, number];

/** What made-up tables look like. */
export const TABLE_KINDS = ['plain', 'wood', 'stripes', 'towel', 'wrap', 'checked'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

const SIZE = 128;

/** Something that goes up and down over the plane without a pattern: mean 0, deviation about 1, over about one unit. It repeats after 128. */
export const noiseOf = (random: Random): ((x: number, y: number) => number) => {
  const values = Float32Array.from({ length: SIZE * SIZE }, () => normal(random));
  return (x, y) => {
    const [fx, fy] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [x - fx, y - fy];
    const [top, below] = [(fy & (SIZE - 1)) * SIZE, ((fy + 1) & (SIZE - 1)) * SIZE];
    const [left, right] = [fx & (SIZE - 1), (fx + 1) & (SIZE - 1)];
    const upper = (values[top + left] ?? 0) * (1 - u) + (values[top + right] ?? 0) * u;
    const lower = (values[below + left] ?? 0) * (1 - u) + (values[below + right] ?? 0) * u;
    return 1.5 * (upper * (1 - v) + lower * v);
  };
};

const COLOURS: Readonly<Record<TableKind, readonly Colour[]>> = {
  plain: [
    [0.75, 0.75, 0.72],
    [0.45, 0.47, 0.48],
    [0.2, 0.26, 0.3],
  ],
  wood: [
    [0.42, 0.26, 0.13],
    [0.6, 0.42, 0.24],
    [0.2, 0.11, 0.06],
  ],
  stripes: [
    [0.7, 0.68, 0.6],
    [0.35, 0.42, 0.5],
  ],
  towel: [
    [0.68, 0.7, 0.72],
    [0.2, 0.3, 0.42],
    [0.55, 0.4, 0.4],
  ],
  wrap: [
    [0.5, 0.53, 0.54],
    [0.68, 0.7, 0.7],
  ],
  checked: [[0.7, 0.68, 0.66]],
};

/** A made-up table: its usual colour, and what it is like at a place, mm. */
export const tableLook = (
  kind: TableKind,
  random: Random,
  own?: Colour,
): { readonly base: Colour; readonly at: (p: Point) => Colour } => {
  const among = COLOURS[kind];
  const base = own ?? among[Math.floor(among.length * random())] ?? ([0.5, 0.5, 0.5] as const);
  const turn = Math.PI * random();
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [one, two] = [noiseOf(random), noiseOf(random)];
  const times = (by: number): Colour => [base[0] * by, base[1] * by, base[2] * by];
  const shade: Readonly<Record<TableKind, (u: number, v: number) => number>> = {
    plain: (u, v) => 1 + 0.012 * one(u / 3, v / 3),
    wood: (u, v) => 1 + 0.1 * one(u / 90, v / 4) + 0.05 * two(u / 25, v / 1.3) + 0.06 * one(u / 300, v / 40),
    stripes: (u, v) => (((v % 44) + 44) % 44 < 20 ? 0.72 : 1) + 0.02 * one(u / 2, v / 2),
    towel: (u, v) => 1 + 0.09 * one(u / 2.2, v / 2.2) + 0.05 * Math.sin(v / 1.6) + 0.04 * two(u / 30, v / 30),
    wrap: (u, v) => {
      const [bu, bv] = [(((u % 11) + 11) % 11) - 5.5, (((v % 11) + 11) % 11) - 5.5];
      const r = Math.hypot(bu, bv);
      const shine = Math.hypot(bu + 1.5, bv + 1.5) < 1.1 ? 0.45 : 0;
      return (r < 4.4 ? 1.03 : 0.9) - (Math.abs(r - 4.4) < 0.6 ? 0.1 : 0) + shine + 0.02 * one(u / 4, v / 4);
    },
    checked: (u, v) =>
      ((Math.floor(u / 60) + Math.floor(v / 60)) % 2 === 0 ? 1 : 0.55) + 0.02 * one(u / 3, v / 3),
  };
  const of = shade[kind];
  return { base, at: p => times(Math.max(0.05, of(c * p.x + s * p.y, -s * p.x + c * p.y))) };
};
