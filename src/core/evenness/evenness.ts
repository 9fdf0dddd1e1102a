import { partsOf } from '../numeric/parts';
import type { Field } from './field';

/** What a layout is like, as makers look at it against the light. */
export interface Evenness {
  /** g/m² over the whole outline. */
  readonly mean: number;
  /** Standard deviation over mean of patches of 1 cm². */
  readonly variation: number;
  /** Share of patches of 1 cm² that have less than half of what was planned. */
  readonly thinShare: number;
  /** Places with less than a fifth of what was planned: patches that touch are one place. */
  readonly holes: number;
  /** Mean of the outer 2 cm over the mean of all within. */
  readonly edgeShare: number;
}

const PATCH_MM = 10;
const EDGE_MM = 20;
/** Under this share of the plan a place is thin, and under that a hole; common practice. */
export const THIN = 0.5;
export const HOLE = 0.2;

/** Cells by how many steps they are from the outline, up to a limit; 0 outside. */
const depths = ({ columns, rows, inside }: Field, most: number): Uint8Array => {
  const depth = new Uint8Array(columns * rows);
  let front: number[] = [];
  const at = (cell: number): number => inside[cell] ?? 0;
  inside.forEach((isIn, cell) => {
    if (isIn === 0) return;
    const c = cell % columns;
    const edge =
      c === 0 ||
      c === columns - 1 ||
      [cell - 1, cell + 1, cell - columns, cell + columns].some(n => at(n) === 0);
    if (!edge) return;
    depth[cell] = 1;
    front.push(cell);
  });
  for (let step = 2; step <= most + 1 && front.length > 0; step += 1) {
    const next: number[] = [];
    for (const cell of front)
      for (const n of [cell - 1, cell + 1, cell - columns, cell + columns])
        if (at(n) === 1 && depth[n] === 0) {
          depth[n] = step;
          next.push(n);
        }
    front = next;
  }
  inside.forEach((isIn, cell) => {
    if (isIn === 1 && depth[cell] === 0) depth[cell] = most + 1;
  });
  return depth;
};

const meanOf = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((a, b) => a + b, 0) / values.length;

/**
 * Reads a simulated layout.
 * @param plannedGsm what every place should have, g/m², > 0
 */
export const evenness = (field: Field, plannedGsm: number): Evenness => {
  const { columns, rows, gsm, inside, cellMm } = field;
  const side = Math.max(1, Math.round(PATCH_MM / cellMm));
  const patches: number[] = [];
  const holes = new Set<number>();
  const wide = Math.floor(columns / side);
  for (let r = 0; r + side <= rows; r += side)
    for (let c = 0; c + side <= columns; c += side) {
      let sum = 0;
      let whole = true;
      for (let k = 0; k < side * side && whole; k += 1) {
        const cell = (r + Math.floor(k / side)) * columns + c + (k % side);
        whole = inside[cell] === 1;
        sum += gsm[cell] ?? 0;
      }
      if (!whole) continue;
      const patch = sum / (side * side);
      patches.push(patch);
      if (patch < HOLE * plannedGsm) holes.add((r / side) * wide + c / side);
    }
  const mean = meanOf(patches);
  const variance = meanOf(patches.map(p => (p - mean) ** 2));
  const steps = Math.round(EDGE_MM / cellMm);
  const depth = depths(field, steps);
  const [edge, middle]: [number[], number[]] = [[], []];
  inside.forEach((isIn, cell) => {
    if (isIn === 1) ((depth[cell] ?? 0) <= steps ? edge : middle).push(gsm[cell] ?? 0);
  });
  return {
    mean,
    variation: mean > 0 ? Math.sqrt(variance) / mean : 0,
    thinShare: patches.length === 0 ? 0 : patches.filter(p => p < THIN * plannedGsm).length / patches.length,
    holes: partsOf({ width: wide, height: Math.floor(rows / side) }, cell => holes.has(cell)).length,
    edgeShare: middle.length === 0 ? 1 : meanOf(edge) / meanOf(middle),
  };
};
