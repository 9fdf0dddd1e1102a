import { Matrix, solve } from 'ml-matrix';
import { issue } from '../issues';
import { partsOf } from '../numeric/parts';
import type { Point } from '../outline/polygon';
import { type Blob, largestBlob } from '../picture/blob';
import { err, ok, type Result } from '../result';
import { logLikely, type Mixture, mixtureOf, shaded } from './mixture';
import { LOOKS, middleOf, type TableGrid } from './tableGrid';

/** A piece that was told from the table. */
export interface FoundPiece<Fit> {
  readonly blob: Blob;
  /** How what is looked for lies on it. */
  readonly fit: Fit;
  /** How much rather each cell is felt than table, as a logarithm. */
  readonly rather: Float32Array;
  /** Share of the picture's rim that it touches. */
  readonly atRim: number;
  /** How far felt and table lie apart, in the spread of both. */
  readonly apart: number;
}

/** What is round the picture is table, within this share of its size. */
const RIM = 0.045;
/** A ring round what was laid beside it is table, mm. */
const RING = { from: 3, to: 14 } as const;
/** So much of what is table may look odd. */
const ODD = 0.015;
const SHADE = 0.12;
/** So much less likely than the ring's own, as a logarithm, is nothing like it; the rest of the rim has to be so much of it. */
const FOREIGN = 12;
const MOSTLY = 0.6;
/** So much of the ring may be piece that lies close by. */
const ON_PIECE = 0.3;
/** Felt and table that lie further apart than this are told by their colours alone. */
const CLEAR = 2.5;
const COLOURS = 3;

/** Cells that are likely the table: along the rim of what is seen, and round what was laid beside it. */
const tableCells = (
  grid: TableGrid,
  depthOnReference: Float32Array,
): { readonly rim: readonly number[]; readonly ring: readonly number[] } => {
  const { width, height, seen } = grid;
  const band = Math.max(2, Math.round(RIM * Math.min(width, height)));
  const isSeen = (x: number, y: number): boolean =>
    x >= 0 && y >= 0 && x < width && y < height && seen[y * width + x] === 1;
  const [rim, ring]: [number[], number[]] = [[], []];
  for (let cell = 0; cell < width * height; cell += 1) {
    if (seen[cell] !== 1) continue;
    const depth = depthOnReference[cell] ?? -1e3;
    if (depth > -RING.from) continue;
    const [x, y] = [cell % width, Math.floor(cell / width)];
    const isRim =
      !isSeen(x - band, y) || !isSeen(x + band, y) || !isSeen(x, y - band) || !isSeen(x, y + band);
    if (isRim) rim.push(cell);
    else if (depth > -RING.to) ring.push(cell);
  }
  return { rim, ring };
};

const starts = (cells: readonly number[]): readonly number[] => cells.map(cell => LOOKS * cell);

/** A piece that comes near the picture's rim is no table: what looks nothing like the ring is left out, where the rest is still most of it. */
const likeRing = (
  looks: Float32Array,
  rim: readonly number[],
  ring: readonly number[],
): readonly number[] => {
  if (ring.length < 80) return rim;
  const ofRing = shaded(mixtureOf(looks, starts(ring), { figures: LOOKS, bells: 2 }), 0.4);
  const usual = ring.map(cell => logLikely(ofRing, looks, LOOKS * cell)).toSorted((a, b) => a - b);
  const least = (usual[Math.floor(0.02 * usual.length)] ?? 0) - FOREIGN;
  const like = rim.filter(cell => logLikely(ofRing, looks, LOOKS * cell) > least);
  return like.length > MOSTLY * rim.length ? like : rim;
};

/** Takes out of the brightness how the lamp falls off over the table: a quadratic fitted to the table. */
const evened = (grid: TableGrid, table: readonly number[]): Float32Array => {
  const { width, height } = grid;
  const terms = (cell: number): number[] => {
    const [x, y] = [(2 * (cell % width)) / width - 1, (2 * Math.floor(cell / width)) / height - 1];
    return [1, x, y, x * x, x * y, y * y];
  };
  const every = Math.max(1, Math.floor(table.length / 1500));
  const few = table.filter((_, i) => i % every === 0);
  const a = new Matrix(few.map(terms));
  const at = a.transpose();
  const square = at.mmul(a).add(Matrix.eye(6).mul(1e-3 * few.length));
  // Without the constant: what is taken out is how it falls off, not how bright it is.
  const right = at.mmul(Matrix.columnVector(few.map(cell => grid.looks[LOOKS * cell] ?? 0)));
  const [, cx = 0, cy = 0, cxx = 0, cxy = 0, cyy = 0] = solve(square, right).to1DArray();
  const out = Float32Array.from(grid.looks);
  for (let cell = 0; cell < width * height; cell += 1) {
    const x = (2 * (cell % width)) / width - 1;
    const y = (2 * Math.floor(cell / width)) / height - 1;
    out[LOOKS * cell] =
      (out[LOOKS * cell] ?? 0) - (cx * x + cy * y + cxx * x * x + cxy * x * y + cyy * y * y);
  }
  return out;
};

/** Mean over three cells each way, of those that there are. */
const smoothed = (values: Float32Array, { width, height }: TableGrid): Float32Array => {
  const out = new Float32Array(values.length);
  for (let y = 0; y < height; y += 1) {
    const first = Math.max(0, y - 1);
    const last = Math.min(height - 1, y + 1);
    for (let x = 0; x < width; x += 1) {
      const from = Math.max(0, x - 1);
      const to = Math.min(width - 1, x + 1);
      let sum = 0;
      for (let v = first; v <= last; v += 1)
        for (let u = from; u <= to; u += 1) sum += values[v * width + u] ?? 0;
      out[y * width + x] = sum / ((last - first + 1) * (to - from + 1));
    }
  }
  return out;
};

/** No cell is surer than this to be felt or table, as a logarithm. */
const SUREST = 6;
/** What is not to be piece at all. */
const SURELY_NOT = -4;

/** How much rather each cell is the piece than not, smoothed. */
const ratherBy = (grid: TableGrid, own: Uint8Array, likely: (at: number) => number): Float32Array => {
  const rather = new Float32Array(own.length);
  for (let cell = 0; cell < own.length; cell += 1)
    rather[cell] = own[cell] === 1 ? Math.min(SUREST, Math.max(-SUREST, likely(LOOKS * cell))) : SURELY_NOT;
  return smoothed(rather, grid);
};

/** Cells well within and well outside what was found: surely felt, and surely table. */
const sureCells = (
  mask: Uint8Array,
  own: Uint8Array,
  width: number,
): { readonly felt: readonly number[]; readonly outside: readonly number[] } => {
  const isDeep = (cell: number, by: number): boolean => {
    const on = mask[cell];
    return (
      mask[cell - by] === on &&
      mask[cell + by] === on &&
      mask[cell - by * width] === on &&
      mask[cell + by * width] === on
    );
  };
  const [felt, outside]: [number[], number[]] = [[], []];
  for (let cell = 0; cell < own.length; cell += 1) {
    if (own[cell] !== 1) continue;
    if (mask[cell] === 1) {
      if (isDeep(cell, 3)) felt.push(cell);
    } else if (isDeep(cell, 4)) outside.push(cell);
  }
  return { felt, outside };
};

/** How far two looks lie apart: the difference of their means in the spread of both, along the figure that tells most. */
const apartOf = (looks: Float32Array, felt: readonly number[], table: readonly number[]): number => {
  const momentsOf = (cells: readonly number[], d: number): readonly [number, number] => {
    const values = cells.map(cell => looks[LOOKS * cell + d] ?? 0);
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    return [mean, values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length];
  };
  return Math.max(
    ...[0, 1, 2].map(d => {
      const [f, fv] = momentsOf(felt, d);
      const [t, tv] = momentsOf(table, d);
      return Math.abs(f - t) / Math.sqrt(fv + tv + 1e-4);
    }),
  );
};

export interface PieceAsked<Fit> {
  /** Takes of parts that do not look as the table does the one that is looked for, the largest come first; null where none is. */
  readonly pick: (blobs: readonly Blob[]) => { readonly blob: Blob; readonly fit: Fit } | null;
  /** How deep in what was laid beside it each cell lies, mm; less than nothing outside. */
  readonly depthOnReference: Float32Array;
  /** A place on the piece, where somebody pointed at it. */
  readonly tapped?: Point;
}

/** Tells the piece from the table: what does not look as the table does, and hangs together, and is what is looked for. Fails with PHOTO_NO_PIECE, PHOTO_ON_PIECE. */
export const findPiece = <Fit>(grid: TableGrid, asked: PieceAsked<Fit>): Result<FoundPiece<Fit>> => {
  const { seen, width } = grid;
  const { rim, ring } = tableCells(grid, asked.depthOnReference);
  const none = err(issue('PHOTO_NO_PIECE', ''));
  if (rim.length < 200) return none;
  const table = [...likeRing(grid.looks, rim, ring), ...ring];
  const looks = evened(grid, table);
  let ofTable: Mixture = mixtureOf(looks, starts(table), { figures: LOOKS, bells: 3 });
  const usual = table.map(cell => logLikely(ofTable, looks, LOOKS * cell)).toSorted((a, b) => a - b);
  const odd = (usual[Math.floor(ODD * usual.length)] ?? 0) - 1;
  const dark = shaded(ofTable, SHADE);
  const own = seen.map((on, cell) => (on === 1 && (asked.depthOnReference[cell] ?? -1e3) < -1 ? 1 : 0));
  let unlike = ratherBy(grid, own, at => odd - logLikely(dark, looks, at));
  let found: ReturnType<typeof asked.pick> = null;
  let felt: readonly number[] = [];
  for (let round = 0; round < 3; round += 1) {
    const now = unlike;
    const isFelt = (cell: number): boolean => (now[cell] ?? 0) > 0 && own[cell] === 1;
    const parts = partsOf(grid, isFelt)
      .filter(p => p.length > 60)
      .toSorted((a, b) => b.length - a.length)
      .slice(0, 4);
    const blobs = parts.map(part => {
      const ofPart = new Uint8Array(own.length);
      for (const cell of part) ofPart[cell] = 1;
      return largestBlob(grid, cell => ofPart[cell] === 1);
    });
    const { tapped } = asked;
    const pointed = tapped
      ? blobs.filter(b => {
          const [x, y] = [
            Math.floor((tapped.x - grid.left) / grid.cellMm),
            Math.floor((tapped.y - grid.top) / grid.cellMm),
          ];
          return b.mask[y * width + x] === 1;
        })
      : blobs;
    found = asked.pick(pointed);
    if (!found) return none;
    const { mask } = found.blob;
    const sure = sureCells(mask, own, width);
    const { outside } = sure;
    felt = sure.felt;
    if (felt.length < 40 || outside.length < 200) return none;
    // How rough it is tells little at its rim, where both are seen at once: in the end colours alone decide, where they can.
    const figures = round > 0 && apartOf(looks, felt, table) > CLEAR ? COLOURS : LOOKS;
    const ofFelt = mixtureOf(looks, starts(felt), { figures, bells: 2 });
    ofTable = mixtureOf(looks, starts(round === 0 ? table : outside), { figures, bells: 4 });
    const behind = shaded(ofTable, SHADE);
    unlike = ratherBy(grid, own, at => logLikely(ofFelt, looks, at) - logLikely(behind, looks, at));
  }
  if (!found) return none;
  const { mask, cells } = found.blob;
  // What is round the reference is to be table: else it lies on the piece, or the piece on it.
  if (ring.filter(cell => mask[cell] === 1).length > ON_PIECE * ring.length)
    return err(issue('PHOTO_ON_PIECE', ''));
  let atRim = 0;
  for (let cell = 0; cell < mask.length; cell += 1) {
    if (mask[cell] !== 1) continue;
    if ([-2, 2, -2 * width, 2 * width].some(d => seen[cell + d] !== 1)) atRim += 1;
  }
  return ok({
    ...found,
    rather: unlike,
    atRim: atRim / Math.sqrt(cells),
    apart: apartOf(looks, felt, table),
  });
};

/** How deep in an outline each cell of a grid lies, mm. */
export const depthsOn = (grid: TableGrid, depth: (p: Point) => number): Float32Array =>
  Float32Array.from({ length: grid.width * grid.height }, (_, cell) => depth(middleOf(grid, cell)));
