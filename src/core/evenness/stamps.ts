import { footprint, type Hand } from './hand';

/** The cells that a wisp covers and the share of its mass in each; shares sum to 1. */
export interface Stamp {
  /** Cells, as steps from the cell in which the wisp's middle lies. */
  readonly steps: Int32Array;
  readonly shares: Float32Array;
}

/** Directions are told apart by a degree, and places within a cell by a quarter of it: finer than any hand. */
const DIRECTIONS = 360;
const PLACES = 4;

/** The footprint of a wisp: a share of its mass per mm², by how far a place is along and across it. */
type Footprint = (hand: Hand, along: number, across: number) => number;

const makeStamp = (
  { hand, shape }: { readonly hand: Hand; readonly shape: Footprint },
  grid: { readonly cellMm: number; readonly columns: number },
  at: { readonly angle: number; readonly x: number; readonly y: number },
): Stamp => {
  const { cellMm, columns } = grid;
  const [cos, sin] = [Math.cos(at.angle), Math.sin(at.angle)];
  const reach = Math.ceil(Math.hypot(hand.lengthMm, hand.widthMm) / 2 / cellMm) + 1;
  const [steps, shares]: [number[], number[]] = [[], []];
  let sum = 0;
  for (let r = -reach; r <= reach; r += 1)
    for (let c = -reach; c <= reach; c += 1) {
      const [dx, dy] = [(c + 0.5 - at.x) * cellMm, (r + 0.5 - at.y) * cellMm];
      const share = shape(hand, dx * cos + dy * sin, dy * cos - dx * sin);
      if (!(share > 0)) continue;
      steps.push(r * columns + c);
      shares.push(share);
      sum += share;
    }
  // A wisp finer than the grid lies in the cell of its middle.
  if (sum === 0) return { steps: Int32Array.of(0), shares: Float32Array.of(1) };
  return { steps: Int32Array.from(steps), shares: Float32Array.from(shares, v => v / sum) };
};

/**
 * Stamps of one hand on one grid, each made when it is first asked for.
 * @param shape of a wisp: even and feathered at both ends when left out
 * @returns for a direction in radians and a place within a cell, 0 to 1 each way, the stamp
 */
export const stampsOf = (
  hand: Hand,
  grid: { readonly cellMm: number; readonly columns: number },
  shape: Footprint = footprint,
): ((angle: number, x: number, y: number) => Stamp) => {
  const made: Array<Stamp | undefined> = Array.from({ length: DIRECTIONS * PLACES * PLACES });
  return (angle, x, y) => {
    const turn = ((Math.round((angle * DIRECTIONS) / (2 * Math.PI)) % DIRECTIONS) + DIRECTIONS) % DIRECTIONS;
    const [px, py] = [x, y].map(v => Math.min(PLACES - 1, Math.floor(v * PLACES)));
    const key = (turn * PLACES + (px ?? 0)) * PLACES + (py ?? 0);
    const known = made[key];
    if (known) return known;
    const stamp = makeStamp({ hand, shape }, grid, {
      angle: (turn * 2 * Math.PI) / DIRECTIONS,
      x: ((px ?? 0) + 0.5) / PLACES,
      y: ((py ?? 0) + 0.5) / PLACES,
    });
    made[key] = stamp;
    return stamp;
  };
};
