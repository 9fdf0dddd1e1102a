import { issue } from '../issues';
import { reached } from '../numeric/parts';
import { boundsOf, type Point, type Polygon, polygonArea } from '../outline/polygon';
import { simplify } from '../outline/simplify';
import { type Blob, largestBlob, rimOf } from '../picture/blob';
import type { Pixels } from '../picture/pixels';
import { err, ok, type Result } from '../result';
import { pixelOf } from './camera';
import { LIMITS, type Posed, posesIn, type Seen, seenOf, tellApart } from './choices';
import { evenly, movedOut, normalsOf } from './contour';
import { furthest } from './furthest';
import type { PhotoAsked } from './photoAsked';
import { REFERENCES } from './references';
import { coarseRim, fineRim } from './rim';
import { lookOf, LOOKS, middleOf, type TableGrid } from './tableGrid';

/** What is traced: something that lies flat on the table, a hand or a foot that stands on it, or a line drawn on the sheet itself. */
export const TRACED = ['flat', 'limb', 'drawn'] as const;
export type Traced = (typeof TRACED)[number];

export interface TraceAsked extends Pick<PhotoAsked, 'reference' | 'focal35' | 'piece' | 'card'> {
  readonly what: Traced;
}

/** An outline that was traced. */
export interface TracedOutline {
  /** About its own middle, mm: x right and y towards the person, as the picture was taken. */
  readonly outline: Polygon;
  /** The same in the picture, as shares of its width and height. */
  readonly inPicture: readonly Point[];
}

/** How high the widest of it stands over the table, mm. Common practice: half of a hand at its edge. */
const HEIGHT_MM: Readonly<Record<Traced, number>> = { flat: 0, limb: 10, drawn: 0 };
/** Smaller than this is nothing that is felted, mm². */
const LEAST_MM2 = 600;
/** An outline is given with no more points than move it by so much, mm. */
const THINNED_MM = 0.6;
/** A line on paper is so much darker, as a logarithm. */
const INK = 0.3;
/** So much of a sheet's rim is left out, mm. */
const SHEET_RIM_MM = 4;

/** Ways along the edges of cells: right, down, left, up; and of the cells that meet at a corner those ahead to the left and to the right, by the corner. */
const WAYS = [
  { x: 1, y: 0, left: [0, -1], right: [0, 0] },
  { x: 0, y: 1, left: [0, 0], right: [-1, 0] },
  { x: -1, y: 0, left: [-1, 0], right: [-1, -1] },
  { x: 0, y: -1, left: [-1, -1], right: [0, -1] },
] as const;

/** The line round a mask that hangs together, from corner to corner of its cells, with the mask on its right. */
const ringOf = ({ mask }: Blob, grid: TableGrid): Polygon => {
  const is = (x: number, y: number): boolean =>
    x >= 0 && y >= 0 && x < grid.width && y < grid.height && mask[y * grid.width + x] === 1;
  const first = mask.indexOf(1);
  if (first < 0) return [];
  const begin = { x: first % grid.width, y: Math.floor(first / grid.width) };
  const ring: Point[] = [];
  let [x, y, way] = [begin.x, begin.y, 0];
  for (let steps = 0; steps < 4 * mask.length; steps += 1) {
    ring.push({ x: grid.left + x * grid.cellMm, y: grid.top + y * grid.cellMm });
    const by = WAYS[way] ?? WAYS[0];
    x += by.x;
    y += by.y;
    if (x === begin.x && y === begin.y) break;
    if (is(x + by.left[0], y + by.left[1])) way = (way + 3) % 4;
    else if (!is(x + by.right[0], y + by.right[1])) way = (way + 1) % 4;
  }
  return ring;
};

/** The largest thing that does not look like the table, by its rim. */
const thingIn = (seen: Seen, posed: Posed, asked: TraceAsked): Result<Polygon> => {
  const heightMm = HEIGHT_MM[asked.what] - REFERENCES[asked.reference].thick;
  const told = tellApart(seen, posed, {
    ...asked,
    heightMm,
    pick: (blobs, { cellMm }) => {
      const blob = blobs.find(b => b.cells * cellMm ** 2 > LEAST_MM2);
      return blob ? { blob, fit: null } : null;
    },
  });
  if (!told.ok) return told;
  const { grid, piece } = told.value;
  const start = evenly(ringOf(piece.blob, grid), 4);
  const smooth = start.map((_, i) => meanOf(start, i, 2));
  const coarse = coarseRim(smooth, grid, piece.rather);
  const fine = fineRim(coarse, seen.full, { camera: posed.pose.camera, heightMm });
  return fine.told < LIMITS.told ? err(issue('PHOTO_UNCLEAR', '')) : ok(fine.points);
};
/** Mean of a place of a ring and its neighbours. */
const meanOf = (ring: Polygon, at: number, reach: number): Point => {
  let [x, y] = [0, 0];
  for (let d = -reach; d <= reach; d += 1) {
    const p = ring[(at + d + ring.length) % ring.length];
    x += p?.x ?? 0;
    y += p?.y ?? 0;
  }
  return { x: x / (2 * reach + 1), y: y / (2 * reach + 1) };
};

/** Fineness at which a sheet is looked at, mm. */
const SHEET_CELL_MM = 0.7;

/** A closed line that is drawn on the sheet: what cannot be reached from the sheet’s rim without crossing it, less half of the line. */
const drawnOn = (seen: Seen, { pose }: Posed, asked: TraceAsked): Result<Polygon> => {
  const size = REFERENCES[asked.reference];
  const [wide, high] = [size.long - 2 * SHEET_RIM_MM, size.short - 2 * SHEET_RIM_MM];
  const [width, height] = [Math.floor(wide / SHEET_CELL_MM), Math.floor(high / SHEET_CELL_MM)];
  const grid: TableGrid = {
    cellMm: SHEET_CELL_MM,
    left: -wide / 2,
    top: -high / 2,
    width,
    height,
    seen: new Uint8Array(width * height).fill(1),
    looks: new Float32Array(LOOKS * width * height),
  };
  const bright = Float32Array.from({ length: width * height }, (_, cell) => {
    const px = pixelOf(pose.camera, { ...middleOf(grid, cell), z: 0 });
    return lookOf(seen.full(px.x, px.y, 0), seen.full(px.x, px.y, 1), seen.full(px.x, px.y, 2))[0];
  });
  const paper = paperOf(bright, grid);
  const isInk = (cell: number): boolean => (bright[cell] ?? 0) < (paper[cell] ?? 0) - INK;
  const outside = new Uint8Array(width * height);
  reached(grid, outside, { from: rimOf(grid), is: cell => !isInk(cell) });
  const blob = largestBlob(grid, cell => outside[cell] === 0);
  if (blob.cells * SHEET_CELL_MM ** 2 < LEAST_MM2) return err(issue('PHOTO_NO_PIECE', ''));
  const ring = evenly(ringOf(blob, grid), 3);
  const smooth = ring.map((_, i) => meanOf(ring, i, 1));
  const ink = blob.mask.reduce((sum, on, cell) => sum + Number(on === 1 && isInk(cell)), 0);
  // A line that was filled in is no line: then its edge is the outline.
  const lineMm = (ink * SHEET_CELL_MM ** 2) / (3 * ring.length);
  const by = lineMm > 6 ? 0 : -lineMm / 2;
  return ok(
    movedOut(
      smooth,
      normalsOf(smooth),
      ring.map(() => by),
    ),
  );
};

/** A sheet is looked at by tiles of so many cells. */
const TILE = 24;

/** How bright paper is at each cell of a sheet: what three quarters of its tile stay below, so that a line does not count. */
const paperOf = (bright: Float32Array, { width, height }: TableGrid): Float32Array => {
  const [columns, rows] = [Math.ceil(width / TILE), Math.ceil(height / TILE)];
  const usual = Float32Array.from({ length: columns * rows }, (_, t) => {
    const values: number[] = [];
    for (
      let y = Math.floor(t / columns) * TILE;
      y < Math.min(height, (Math.floor(t / columns) + 1) * TILE);
      y += 2
    )
      for (let x = (t % columns) * TILE; x < Math.min(width, ((t % columns) + 1) * TILE); x += 2)
        values.push(bright[y * width + x] ?? 0);
    return values.toSorted((a, b) => a - b)[Math.floor(0.75 * values.length)] ?? 0;
  });
  return bright.map((_, cell) => {
    const [x, y] = [cell % width, Math.floor(cell / width)];
    return usual[Math.floor(y / TILE) * columns + Math.floor(x / TILE)] ?? 0;
  });
};

/**
 * Traces the outline of a thing on the table, or of a line drawn on the sheet, from one picture. Pure. Tried on made-up pictures only. Fails as
 * `measurePhoto` does; a line that is not closed is no outline: PHOTO_NO_PIECE.
 */
export const tracePhoto = (
  pixels: Pixels,
  asked: TraceAsked,
  progress: (share: number) => void = () => {},
): Result<TracedOutline> => {
  const seen = seenOf(pixels);
  progress(0.15);
  const { posed, refused } = posesIn(seen, asked);
  progress(0.5);
  const [found] = posed;
  if (!found) return err(furthest(refused));
  const traced = asked.what === 'drawn' ? drawnOn(seen, found, asked) : thingIn(seen, found, asked);
  progress(1);
  if (!traced.ok) return traced;
  const ring = simplify(traced.value, THINNED_MM);
  if (ring.length < 3 || polygonArea(ring) < LEAST_MM2) return err(issue('PHOTO_NO_PIECE', ''));
  const box = boundsOf(ring);
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const z = HEIGHT_MM[asked.what] - REFERENCES[asked.reference].thick;
  return ok({
    outline: ring.map(p => ({ x: p.x - middle.x, y: p.y - middle.y })),
    inPicture: ring.map(p => {
      const px = pixelOf(found.pose.camera, { ...p, z });
      return { x: px.x / pixels.width, y: px.y / pixels.height };
    }),
  });
};
