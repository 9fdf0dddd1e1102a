import type { Polygon } from './polygon';

/** A figure of a flat array; every index used is within. The innermost loops read their arrays themselves, which is quicker. */
export const at = (array: Float64Array, i: number): number => array[i] ?? Number.NaN;

/** A number of an edge out of a flat array; every index used is within. */
export const edgeAt = (array: Int32Array, i: number): number => array[i] ?? 0;

/**
 * The edges of closed outlines in flat arrays, since thousands are gone through many times a second: edge e runs from
 * (x[e], y[e]) to (x[next[e]], y[next[e]]), mm.
 */
export interface Edges {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly next: Int32Array;
  /** The first edge of each outline. */
  readonly starts: readonly number[];
}

/** Edges of closed outlines, in order. */
export const edgesOf = (outlines: readonly Polygon[]): Edges => {
  let count = 0;
  for (const outline of outlines) count += outline.length;
  const x = new Float64Array(count);
  const y = new Float64Array(count);
  const next = new Int32Array(count);
  const starts: number[] = [];
  let e = 0;
  for (const outline of outlines) {
    const first = e;
    starts.push(first);
    for (const p of outline) {
      x[e] = p.x;
      y[e] = p.y;
      next[e] = e + 1;
      e += 1;
    }
    if (e > first) next[e - 1] = first;
  }
  return { count, x, y, next, starts };
};
