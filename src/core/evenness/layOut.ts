import { boundsOf, type Polygon } from '../outline/polygon';
import type { Field } from './field';
import type { Hand } from './hand';
import { rowSites } from './rowSites';
import { normal, type Random } from '../numeric/random';
import { type Rows, shingleFootprint } from './shingle';
import { type Stamp, stampsOf } from './stamps';

/** One layer: its grams and which way its fibres lie: degrees from x towards y, from the middle outwards, or every way. */
export interface Layer {
  readonly grams: number;
  readonly directionDeg: number | 'radial' | 'random';
}

/** Fine enough for a patch of 1 cm², coarse enough for a square metre. */
const CELL_MM = 5;
const G_PER_MM2_TO_GSM = 1e6;

/** Cells whose middle lies within rings, by the even-odd rule, a row at a time: 1 within, 0 without. */
export const insideOf = (rings: readonly Polygon[], grid: Omit<Field, 'gsm' | 'inside'>): Uint8Array => {
  const { columns, rows, left, top, cellMm } = grid;
  const inside = new Uint8Array(columns * rows);
  for (let r = 0; r < rows; r += 1) {
    const y = top + (r + 0.5) * cellMm;
    const crossings = rings
      .flatMap(ring =>
        ring.flatMap((a, i) => {
          const b = ring[(i + 1) % ring.length] ?? a;
          return a.y <= y === b.y <= y ? [] : [a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)];
        }),
      )
      .toSorted((p, q) => p - q);
    for (let i = 0; i + 1 < crossings.length; i += 2) {
      const first = Math.max(0, Math.ceil(((crossings[i] ?? 0) - left) / cellMm - 0.5));
      const last = Math.min(columns - 1, Math.floor(((crossings[i + 1] ?? 0) - left) / cellMm - 0.5));
      for (let c = first; c <= last; c += 1) inside[r * columns + c] = 1;
    }
  }
  return inside;
};

/** An empty field over rings, a wisp's length wider all round. */
const emptyField = (
  rings: readonly Polygon[],
  of: { readonly hand: Hand; readonly rows?: Rows | null },
  cellMm: number,
): Field => {
  const { hand, rows } = of;
  const box = boundsOf(rings.flat());
  const beyond = rows ? rows.reachMm + 4 * rows.jitter.placeMm : 0;
  const around = Math.hypot(hand.lengthMm, hand.widthMm) / 2 + beyond + 3 * cellMm;
  const grid = {
    cellMm,
    left: box.minX - around,
    top: box.minY - around,
    columns: Math.ceil((box.maxX - box.minX + 2 * around) / cellMm),
    rows: Math.ceil((box.maxY - box.minY + 2 * around) / cellMm),
  };
  return { ...grid, gsm: new Float32Array(grid.columns * grid.rows), inside: insideOf(rings, grid) };
};

/** Lays one wisp by its stamp: its mass is shared by the cells it covers, and none is lost. */
const lay = (
  gsm: Float32Array,
  { steps, shares }: Stamp,
  wisp: { readonly cell: number; readonly gsm: number },
): void => {
  for (let i = 0; i < steps.length; i += 1) {
    const at = wisp.cell + (steps[i] ?? 0);
    gsm[at] = (gsm[at] ?? 0) + (shares[i] ?? 0) * wisp.gsm;
  }
};

/** Which way a wisp lies whose middle is in a cell, radians. */
const directionAt = (
  { columns, rows }: Field,
  cell: number,
  of: { readonly direction: Layer['directionDeg']; readonly random: Random },
): number => {
  const { direction, random } = of;
  if (direction === 'random') return 2 * Math.PI * random();
  if (direction === 'radial')
    return Math.atan2(Math.floor(cell / columns) + 0.5 - rows / 2, (cell % columns) + 0.5 - columns / 2);
  return (direction * Math.PI) / 180;
};

/** Lays one layer in rows: every wisp of the rows, its mass so that the layer weighs what it should. */
const layRows = (
  field: Field,
  of: {
    readonly layer: { readonly grams: number; readonly directionDeg: number };
    readonly rows: Rows;
    readonly tiles: ReturnType<typeof stampsOf>;
    readonly hand: Hand;
    readonly random: Random;
  },
): void => {
  const { layer, hand, random } = of;
  const sites = rowSites(field, of);
  if (sites.length === 0) return;
  const masses = sites.map(() => Math.max(0.1, 1 + hand.unequal * normal(random)));
  const each = layer.grams / masses.reduce((a, b) => a + b, 0);
  const gsmOfGram = G_PER_MM2_TO_GSM / field.cellMm ** 2;
  sites.forEach(({ x, y, angle }, i) => {
    const [c, r] = [(x - field.left) / field.cellMm, (y - field.top) / field.cellMm];
    const [column, row] = [Math.floor(c), Math.floor(r)];
    if (column < 0 || row < 0 || column >= field.columns || row >= field.rows) return;
    const stamp = of.tiles(angle, c - column, r - row);
    lay(field.gsm, stamp, {
      cell: row * field.columns + column,
      gsm: (masses[i] ?? 0) * each * gsmOfGram,
    });
  });
};

/**
 * Simulates a layout, layer upon layer: wisps of a hand in rows like tiles, or scattered with their middles over the outline. A layer
 * with no one direction is always scattered. Linear in wisps.
 * @param rings outlines of the wool, mm, even-odd  @param random seeded, so that the same seed gives the same field
 * @param onLayer told after each layer how many are done
 */
export const layOut = (of: {
  readonly rings: readonly Polygon[];
  readonly layers: readonly Layer[];
  readonly hand: Hand;
  /** How rows are laid; scattered when left out. */
  readonly rows?: Rows | null;
  readonly random: Random;
  readonly cellMm?: number;
  readonly onLayer?: (done: number) => void;
}): Field => {
  const { rings, layers, hand, random } = of;
  const field = emptyField(rings, of, of.cellMm ?? CELL_MM);
  const cells: number[] = [];
  field.inside.forEach((isIn, cell) => {
    if (isIn === 1) cells.push(cell);
  });
  if (cells.length === 0) return field;
  const stamps = stampsOf(hand, field);
  const gsmOfGram = G_PER_MM2_TO_GSM / field.cellMm ** 2;
  const tiles = of.rows ? stampsOf(hand, field, shingleFootprint) : stamps;
  layers.forEach((layer, k) => {
    if (of.rows && typeof layer.directionDeg === 'number') {
      layRows(field, {
        layer: { ...layer, directionDeg: layer.directionDeg },
        rows: of.rows,
        tiles,
        hand,
        random,
      });
      of.onLayer?.(k + 1);
      return;
    }
    // As many wisps as the layer weighs, the last one by chance, so that the mean is right for any mass.
    const exact = layer.grams / hand.grams;
    const wisps = Math.floor(exact) + (random() < exact - Math.floor(exact) ? 1 : 0);
    for (let i = 0; i < wisps; i += 1) {
      const cell = cells[Math.floor(random() * cells.length)] ?? 0;
      const angle =
        directionAt(field, cell, { direction: layer.directionDeg, random }) +
        (normal(random) * hand.strayDeg * Math.PI) / 180;
      const grams = hand.grams * Math.max(0.1, 1 + hand.unequal * normal(random));
      lay(field.gsm, stamps(angle, random(), random()), { cell, gsm: grams * gsmOfGram });
    }
    of.onLayer?.(k + 1);
  });
  return field;
};
