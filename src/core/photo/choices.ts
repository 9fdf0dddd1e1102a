import { type Issue, issue } from '../issues';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';
import type { Blob } from '../picture/blob';
import { type LaidOn, layOutlineOn, type Turned } from '../picture/layOutlineOn';
import { type Light, lightOf, type Pixels } from '../picture/pixels';
import { err, ok, type Result } from '../result';
import { tiltOf, viewOf } from './camera';
import { depthIn } from './depthField';
import { depthsOn, findPiece, type FoundPiece } from './findPiece';
import { findQuads } from './findQuads';
import { LENS } from './lens';
import type { PhotoAsked } from './photoAsked';
import { type Pose, poseOf } from './pose';
import { cornersOf, type Quad } from './quads';
import { REFERENCES, type ReferenceSize } from './references';
import { type Placed, toTable } from './register';
import { type Sampled, sampledOf } from './sampled';
import { eyeLight, slopesOf } from './segments';
import { sidesSeen } from './sides';
import { tableGrid, type TableGrid } from './tableGrid';

/** The picture is made so small to find things in. */
const FIND_PX = 1100;
/** Beyond these nothing is read. Common practice, set on made-up pictures. */
export const LIMITS = {
  tiltDeg: 36,
  offPx: 0.4,
  /** A short side of what lies beside it, px. */
  farPx: 26,
  blurPx: 9,
  overlap: 0.84,
  atRim: 0.12,
  apart: 1.1,
  told: 0.75,
  offMm: 6,
  /** A line is given where it is within this share, and any at all where one is. */
  line: 0.09,
  sure: 0.05,
} as const;
export interface Seen {
  readonly pixels: Pixels;
  readonly small: Light;
  /** The picture itself, as an eye sees it. */
  readonly full: Sampled;
  /** Pixels of the picture to one of the small one. */
  readonly step: number;
}
export interface Choice extends Posed {
  readonly grid: TableGrid;
  readonly piece: FoundPiece<LaidOn>;
}

const marginOf = (size: ReferenceSize): readonly [number, number] => [
  Math.max(0.06, (1.3 * size.corner) / size.long),
  Math.max(0.06, (1.3 * size.corner) / size.short),
];
export const rimHeight = (asked: PhotoAsked): number => asked.thickMm / 2 - REFERENCES[asked.reference].thick;

/** A picture made ready to be read. */
export const seenOf = (pixels: Pixels): Seen => {
  const small = lightOf(pixels, FIND_PX);
  return { pixels, small, full: sampledOf(pixels), step: Math.round(pixels.width / small.width) };
};

/** The camera by one choice of what lies beside the piece. */
const poseBy = (seen: Seen, quad: Quad, asked: Pick<PhotoAsked, 'reference' | 'focal35'>): Result<Posed> => {
  const size = REFERENCES[asked.reference];
  const by = (p: Point): Point => ({ x: p.x * seen.step, y: p.y * seen.step });
  const [a, b, c, d] = quad.corners;
  const corners = [by(a), by(b), by(c), by(d)] as const;
  const shortPx = Math.min(
    ...[0, 1].map(i => {
      const [p, q] = [corners[i + 1] ?? by(a), corners[(i + 2) % 4] ?? by(a)];
      return Math.sqrt((q.x - p.x) ** 2 + (q.y - p.y) ** 2);
    }),
  );
  if (shortPx < LIMITS.farPx) return err(issue('PHOTO_FAR', ''));
  const sides = sidesSeen(seen.full, corners, { reach: Math.max(4, 3 * seen.step), margin: marginOf(size) });
  if (sides.some(s => s.broadPx > LIMITS.blurPx * Math.max(1, seen.step / 2)))
    return err(issue('PHOTO_BLURRED', ''));
  const { width, height } = seen.pixels;
  const pose = poseOf(corners, sides, {
    size,
    picture: seen.pixels,
    ...(asked.focal35 === undefined ? {} : { focalPx: (asked.focal35 / 36) * Math.max(width, height) }),
  });
  if (!pose || pose.offPx > LIMITS.offPx * Math.max(1, seen.step / 2))
    return err(issue('PHOTO_NO_REFERENCE', ''));
  return tiltOf(pose.camera) > (LIMITS.tiltDeg * Math.PI) / 180
    ? err(issue('PHOTO_SLANTED', ''))
    : ok({ quad: corners, pose });
};

/** Choices of what lies beside it that are followed up. */
const CHOICES = 3;
/** A choice whose sides are less straight than this beside the best one's is none. */
const LESS_STRAIGHT = { times: 1.8, px: 0.08 } as const;

const contains = (corners: readonly Point[], p: Point): boolean =>
  corners.every((a, i) => {
    const b = corners[(i + 1) % corners.length] ?? a;
    return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) > 0;
  });

/** An edge of a sharp picture changes by this share of all its light and dark within two pixels. Set on made-up pictures. */
const SHARP = 0.075;

/** Whether nothing in a picture has a sharp edge: its steepest places, beside its contrast. */
const isBlurred = (light: Light): boolean => {
  const seen = eyeLight(light);
  const green = Float32Array.from(
    { length: seen.width * seen.height },
    (_, i) => seen.rgb[3 * i + 1] ?? 0,
  ).toSorted();
  const contrast =
    (green[Math.floor(0.99 * green.length)] ?? 0) - (green[Math.floor(0.01 * green.length)] ?? 0);
  const steep = slopesOf(seen).size.toSorted();
  return (steep[Math.floor(0.998 * steep.length)] ?? 0) < SHARP * contrast;
};

/** A camera by one choice of what lies beside. */
export interface Posed {
  readonly quad: Quad['corners'];
  readonly pose: Pose;
}

/** Cameras by what may lie beside, the straightest first, and why others are none. What is straight as a card is: a quad of felt or of a chequered table is less so. */
export const posesIn = (
  seen: Seen,
  asked: Pick<PhotoAsked, 'reference' | 'focal35' | 'card'>,
): { readonly posed: readonly Posed[]; readonly refused: readonly Issue[] } => {
  const { small } = seen;
  const { card } = asked;
  const pointed = card && { x: card.x * small.width, y: card.y * small.height };
  const focalPx = ((asked.focal35 ?? LENS.focal35) / 36) * Math.max(small.width, small.height);
  const tried = findQuads(small, REFERENCES[asked.reference], focalPx)
    .filter(q => !pointed || contains(q.corners, pointed))
    .slice(0, CHOICES)
    .map(quad => poseBy(seen, quad, asked));
  const straight = tried
    .flatMap(p => (p.ok ? [p.value] : []))
    .toSorted((a, b) => a.pose.offPx - b.pose.offPx);
  const most = LESS_STRAIGHT.times * (straight[0]?.pose.offPx ?? 0) + LESS_STRAIGHT.px;
  const refused = tried.flatMap(p => (p.ok ? [] : p.issues));
  return {
    posed: straight.filter(p => p.pose.offPx <= most),
    refused: straight.length === 0 && isBlurred(small) ? [...refused, issue('PHOTO_BLURRED', '')] : refused,
  };
};

/** Lays the outline on parts that may be the piece, and takes the one it fits best. */
const bestOf = (
  grid: TableGrid,
  blobs: readonly Blob[],
  { outline, shares }: PhotoAsked,
): { readonly blob: Blob; readonly fit: LaidOn } | null => {
  const picture = { ...grid, mmPerPx: [grid.cellMm / shares[1], grid.cellMm / shares[0]] as const };
  const fits = blobs.flatMap(blob => {
    const fit = layOutlineOn([outline], blob, picture);
    return fit ? [{ blob, fit }] : [];
  });
  return fits.toSorted((a, b) => b.fit.overlap - a.fit.overlap)[0] ?? null;
};

/** Tells from the table what somebody picks out, at a height over it. Fails with PHOTO_NO_PIECE, PHOTO_ON_PIECE, PHOTO_CUT, PHOTO_UNCLEAR. */
export const tellApart = <Fit>(
  seen: Seen,
  { pose: { camera } }: Posed,
  of: Pick<PhotoAsked, 'reference' | 'piece'> & {
    readonly heightMm: number;
    readonly pick: (
      blobs: readonly Blob[],
      grid: TableGrid,
    ) => { readonly blob: Blob; readonly fit: Fit } | null;
  },
): Result<{ readonly grid: TableGrid; readonly piece: FoundPiece<Fit> }> => {
  const { heightMm, piece: at } = of;
  const grid = tableGrid(seen.small, camera, { heightMm, pxOf: seen.step });
  const { width, height } = seen.pixels;
  const tapped = at && viewOf(camera)({ x: at.x * width, y: at.y * height }, heightMm);
  const corners = cornersOf(REFERENCES[of.reference]);
  const piece = findPiece(grid, {
    pick: blobs => of.pick(blobs, grid),
    depthOnReference: depthsOn(grid, p => depthIn(corners, p)),
    ...(tapped ? { tapped } : {}),
  });
  if (!piece.ok) return piece;
  if (piece.value.atRim > LIMITS.atRim) return err(issue('PHOTO_CUT', ''));
  return piece.value.apart < LIMITS.apart
    ? err(issue('PHOTO_UNCLEAR', ''))
    : ok({ grid, piece: piece.value });
};

/** What a choice makes of the piece. */
export const pieceBy = (seen: Seen, found: Posed, asked: PhotoAsked): Result<Choice> => {
  const told = tellApart(seen, found, {
    ...asked,
    heightMm: rimHeight(asked),
    pick: (blobs, grid) => bestOf(grid, blobs, asked),
  });
  if (!told.ok) return told;
  return told.value.piece.fit.overlap < LIMITS.overlap
    ? err(issue('PHOTO_OTHER_SIZE', ''))
    : ok({ ...found, ...told.value });
};

/** Where the outline lies by what was found, turned one way. */
export const placedBy = ({ grid, piece }: Choice, outline: Polygon, turned: Turned): Placed => {
  const box = boundsOf(outline);
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const share = grid.cellMm / piece.fit.mmPerPx;
  const cells = piece.blob.mask.reduce((sum, on) => sum + on, 0);
  let [x, y] = [0, 0];
  piece.blob.mask.forEach((on, cell) => {
    if (on !== 1) return;
    x += (cell % grid.width) + 0.5;
    y += Math.floor(cell / grid.width) + 0.5;
  });
  const centroid = { x: grid.left + (grid.cellMm * x) / cells, y: grid.top + (grid.cellMm * y) / cells };
  // The box's middle is not the outline's centre of area: the difference goes along.
  const own = centreOf(outline);
  const placed = {
    along: share,
    across: share,
    turnRad: (turned.deg * Math.PI) / 180,
    isMirrored: turned.isMirrored,
    at: centroid,
    middle,
  };
  const off = toTable(placed, own);
  return { ...placed, at: { x: 2 * centroid.x - off.x, y: 2 * centroid.y - off.y } };
};
/** Centre of the area of an outline. */
const centreOf = (outline: Polygon): Point => {
  let [x, y, area] = [0, 0, 0];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length] ?? p;
    const cross = p.x * q.y - q.x * p.y;
    area += cross;
    x += (p.x + q.x) * cross;
    y += (p.y + q.y) * cross;
  });
  return { x: x / (3 * area), y: y / (3 * area) };
};
