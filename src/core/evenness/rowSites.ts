import type { Hand } from './hand';
import type { Field } from './field';
import { normal, type Random } from '../numeric/random';
import { pitchOf, type Rows } from './shingle';

/** Where the middle of one wisp lies, mm, and which way its tip points, radians. */
interface Site {
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}

type Grid = Omit<Field, 'gsm'>;

/** How finely a line is looked along for where the outline begins and ends, mm: half a cell of the grid. */
const LOOK_MM = 2.5;

/** Where lines in one direction are within the outline: from and to, mm along, for a line so far across; null where it misses it. */
const chords = ({ inside, columns, rows, left, top, cellMm }: Grid, turned: Turned) => {
  const isIn = (x: number, y: number): boolean => {
    const [column, row] = [Math.floor((x - left) / cellMm), Math.floor((y - top) / cellMm)];
    return column >= 0 && row >= 0 && column < columns && row < rows && inside[row * columns + column] === 1;
  };
  return (v: number): ReadonlyArray<readonly [number, number]> => {
    const found: Array<readonly [number, number]> = [];
    let from: number | null = null;
    for (let s = -turned.radius; s <= turned.radius; s += LOOK_MM) {
      const { x, y } = turned.at(s, v);
      const isHere = isIn(x, y);
      if (isHere && from === null) from = s;
      if (!isHere && from !== null) {
        found.push([from, s]);
        from = null;
      }
    }
    return found;
  };
};

/** The table, seen along the fibres of a layer. */
interface Turned {
  readonly radius: number;
  readonly at: (s: number, v: number) => { readonly x: number; readonly y: number };
}

const turnedTo = ({ left, top, columns, rows, cellMm }: Grid, angle: number): Turned => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const middle = { x: left + (columns * cellMm) / 2, y: top + (rows * cellMm) / 2 };
  return {
    radius: (Math.hypot(columns, rows) * cellMm) / 2,
    at: (s, v) => ({ x: middle.x + s * cos - v * sin, y: middle.y + s * sin + v * cos }),
  };
};

/**
 * Where pieces of one length lie between two ends, so that the first and the last end there and the others keep their pitch. What
 * would lie nearer to an end than half a pitch is the one at the end.
 * @param from where the pitch begins, any number
 */
const fitted = (
  [start, end]: readonly [number, number],
  of: { readonly sizeMm: number; readonly pitchMm: number; readonly from: number },
): readonly number[] => {
  const [first, last] = [start + of.sizeMm / 2, end - of.sizeMm / 2];
  if (last - first < of.pitchMm / 2) return [(start + end) / 2];
  const found = [first];
  const begin = Math.ceil((first + of.pitchMm / 2 - of.from) / of.pitchMm) * of.pitchMm + of.from;
  for (let at = begin; at < last - of.pitchMm / 2; at += of.pitchMm) found.push(at);
  found.push(last);
  return found;
};

/**
 * Where the wisps of one layer lie: side by side in rows across its direction, each row overlapping the one before, every wisp within
 * the outline or as far over it as the rows reach, and a little off, as the hand is. Between the edges rows begin anywhere, or all
 * count from the same edge.
 */
export const rowSites = (
  grid: Grid,
  of: {
    readonly layer: { readonly grams: number; readonly directionDeg: number };
    readonly rows: Rows;
    readonly hand: Hand;
    readonly random: Random;
  },
): readonly Site[] => {
  const { layer, rows, hand, random } = of;
  const cells = grid.inside.reduce((sum, isIn) => sum + isIn, 0);
  const areaM2 = (cells * grid.cellMm ** 2) / 1e6;
  if (!(areaM2 > 0) || !(layer.grams > 0)) return [];
  const { rowMm, wispMm } = pitchOf(hand, rows, layer.grams / areaM2);
  const direction = (layer.directionDeg * Math.PI) / 180;
  const turned = turnedTo(grid, direction);
  const chordsAt = chords(grid, turned);
  const lines: number[] = [];
  for (let v = -turned.radius; v <= turned.radius; v += LOOK_MM) if (chordsAt(v).length > 0) lines.push(v);
  const [lowest, highest] = [lines[0], lines.at(-1)];
  if (lowest === undefined || highest === undefined) return [];
  const reach = rows.reachMm;
  const [fromRow, fromWisp] = [random() * rowMm, random() * wispMm];
  const turn = (rows.jitter.turnDeg * Math.PI) / 180;
  const across = fitted([lowest - reach, highest + reach], {
    sizeMm: hand.widthMm,
    pitchMm: wispMm,
    from: fromWisp,
  });
  return across.flatMap(v => {
    // A wisp half over the edge begins where the outline does beside it.
    const seen = Math.min(highest, Math.max(lowest, v));
    return chordsAt(seen).flatMap(([start, end]) =>
      fitted([start - reach, end + reach], {
        sizeMm: hand.lengthMm,
        pitchMm: rowMm,
        from: rows.sameEdge ? start - reach + hand.lengthMm / 2 : fromRow,
      }).map((s): Site => {
        const { x, y } = turned.at(s, v);
        return {
          x: x + rows.jitter.placeMm * normal(random),
          y: y + rows.jitter.placeMm * normal(random),
          angle: direction + turn * normal(random),
        };
      }),
    );
  });
};
