import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Light } from '../picture/pixels';

/** Writes the powers of x and y up to a degree, each from one before it. */
const fill = (into: Float64Array, degree: number, [x, y]: readonly [number, number]): void => {
  into[0] = 1;
  let at = 1;
  for (let sum = 1; sum <= degree; sum += 1) {
    const before = at - sum;
    for (let p = 0; p < sum; p += 1) into[at + p] = (into[before + p] ?? 0) * x;
    into[at + sum] = (into[at - 1] ?? 0) * y;
    at += sum + 1;
  }
};
/** How many they are. */
const termsOf = (degree: number): number => ((degree + 1) * (degree + 2)) / 2;

/** About so many pixels are fitted: more say nothing new of a smooth light. */
const MOST_FITTED = 3000;
/** Keeps a fit from running away where little of the backdrop is seen. */
const RIDGE = 1e-6;

/**
 * The light behind a piece as a polynomial of place, fitted to what is not the piece. Null where there is too little of it.
 * @param isBehind whether a pixel shows the backdrop  @param degree whole, 1 to 3
 * @returns so much light of each colour at each pixel, as `Light` has them
 */
export const backdropOf = (
  { width, height, rgb }: Light,
  isBehind: (cell: number) => boolean,
  degree: number,
): Float32Array | null => {
  const size = termsOf(degree);
  const placeOf = (cell: number): readonly [number, number] => [
    (2 * (cell % width)) / width - 1,
    (2 * Math.floor(cell / width)) / height - 1,
  ];
  const at = (cell: number): number[] => {
    const here = new Float64Array(size);
    fill(here, degree, placeOf(cell));
    return [...here];
  };
  const all: number[] = [];
  for (let cell = 0; cell < width * height; cell += 1) if (isBehind(cell)) all.push(cell);
  if (all.length < 20 * size) return null;
  const every = Math.max(1, Math.floor(all.length / MOST_FITTED));
  const fitted = all.filter((_, i) => i % every === 0);
  const x = new Matrix(fitted.map(at));
  const xt = x.transpose();
  const square = Matrix.add(xt.mmul(x), Matrix.eye(size, size).mul(RIDGE * fitted.length));
  const decomposed = new CholeskyDecomposition(square);
  const y = new Matrix(fitted.map(cell => [0, 1, 2].map(c => rgb[3 * cell + c] ?? 0)));
  const weights = decomposed.solve(xt.mmul(y));
  const out = new Float32Array(rgb.length);
  const columns = [0, 1, 2].map(c => Float64Array.from({ length: size }, (_, i) => weights.get(i, c)));
  const here = new Float64Array(size);
  for (let cell = 0; cell < width * height; cell += 1) {
    fill(here, degree, placeOf(cell));
    columns.forEach((w, c) => {
      let sum = 0;
      for (let i = 0; i < size; i += 1) sum += (here[i] ?? 0) * (w[i] ?? 0);
      out[3 * cell + c] = sum;
    });
  }
  return out;
};
