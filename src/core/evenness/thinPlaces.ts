import { partsOf } from '../numeric/parts';
import type { Point } from '../outline/polygon';
import type { Field } from './field';

/** A place that is thinner than it should be. */
export interface ThinPlace {
  /** Its middle, mm, as the field's own. */
  readonly at: Point;
  /** Across a disc of the same area, mm. */
  readonly acrossMm: number;
  /** What it has at its thinnest, as a share of what it should. */
  readonly share: number;
}

/** Cells that are further than this from the outline, each way along the grid. */
const withinRim = ({ columns, rows, inside, cellMm }: Field, rimMm: number): Uint8Array => {
  const steps = Math.round(rimMm / cellMm);
  const eroded = inside.slice();
  const isIn = (c: number, r: number): boolean =>
    c >= 0 && r >= 0 && c < columns && r < rows && inside[r * columns + c] === 1;
  for (let r = 0; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1)
      for (let s = 1; s <= steps && eroded[r * columns + c] === 1; s += 1)
        if (!isIn(c - s, r) || !isIn(c + s, r) || !isIn(c, r - s) || !isIn(c, r + s))
          eroded[r * columns + c] = 0;
  return eroded;
};

/** Mean of a cell and those round it that lie within the outline. */
const meanRound = ({ columns, rows, inside, gsm }: Field, cell: number, steps: number): number => {
  const [c, r] = [cell % columns, Math.floor(cell / columns)];
  const [firstRow, lastRow] = [Math.max(0, r - steps), Math.min(rows - 1, r + steps)];
  const [first, last] = [Math.max(0, c - steps), Math.min(columns - 1, c + steps)];
  let [sum, n] = [0, 0];
  for (let y = firstRow; y <= lastRow; y += 1)
    for (let at = y * columns + first; at <= y * columns + last; at += 1)
      if (inside[at] === 1) {
        sum += gsm[at] ?? 0;
        n += 1;
      }
  return n === 0 ? 0 : sum / n;
};

/** Each cell within the outline, taken with what lies round it. */
const smoothed = (field: Field, steps: number): Float32Array =>
  field.gsm.map((_, cell) => (field.inside[cell] === 1 ? meanRound(field, cell, steps) : 0));

/**
 * Places of a field that are thin, thinnest first.
 * @param of.shouldGsm what every place should have, in the field's own unit, > 0  @param of.under as a share of that: below it a place is thin
 * @param of.rimMm so much along the outline is left out, ≥ 0: there wool always runs out  @param of.leastMm smaller places are left out, ≥ 0
 * @param of.smoothMm each cell is taken with what lies so far round it, ≥ 0
 */
export const thinPlaces = (
  field: Field,
  of: {
    readonly shouldGsm: number;
    readonly under: number;
    readonly rimMm: number;
    readonly leastMm: number;
    readonly smoothMm: number;
  },
): readonly ThinPlace[] => {
  const { columns, left, top, cellMm } = field;
  const looked = withinRim(field, of.rimMm);
  const even = smoothed(field, Math.round(of.smoothMm / cellMm));
  const isThin = (cell: number): boolean => looked[cell] === 1 && (even[cell] ?? 0) < of.under * of.shouldGsm;
  return partsOf({ width: columns, height: field.rows }, isThin)
    .map((cells): ThinPlace => {
      const n = cells.length;
      const sum = (value: (cell: number) => number): number =>
        cells.reduce((all, cell) => all + value(cell), 0);
      return {
        at: {
          x: left + (sum(cell => (cell % columns) + 0.5) / n) * cellMm,
          y: top + (sum(cell => Math.floor(cell / columns) + 0.5) / n) * cellMm,
        },
        acrossMm: 2 * cellMm * Math.sqrt(n / Math.PI),
        share:
          cells.reduce((least, cell) => Math.min(least, even[cell] ?? 0), Number.POSITIVE_INFINITY) /
          of.shouldGsm,
      };
    })
    .filter(place => place.acrossMm >= of.leastMm)
    .toSorted((a, b) => a.share - b.share);
};
