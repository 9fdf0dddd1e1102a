import { issue } from '../issues';
import type { Point } from '../outline/polygon';
import { err, ok, type Result } from '../result';
import { type Camera, eyeOf, pixelOf, viewOf } from './camera';
import { type Choice, LIMITS, placedBy, rimHeight, type Seen } from './choices';
import { type Chord, chordsOn, isReadable } from './gaugesRead';
import type { LineRead, PhotoAsked, PhotoReading } from './photoAsked';
import type { Pose } from './pose';
import { outlineDepth, registerOn, toTable, unturned } from './register';
import { coarseRim, fineRim } from './rim';

/** Lengths this near are one. */
const SAME_LENGTH = 0.01;
/** So many other turns that fit alike are followed up. */
const ALIKE = 7;
/** Deviations of a reading, mm: a rim at each end, and the felt’s thickness. */
const SD = { rimMm: 0.75, thickMm: 1.3 } as const;

/** So many deviations hold 95 of 100 lines: more than a bell would need, for a few are far off. Set on made-up pictures, seeds 7001 to 7150 and 8001 to 8102. */
const SURE = 2.3;

/** A rim that runs along the picture's border is not all in it: so near, as a share, and so much of the rim. */
const BORDER = 0.006;
const CUT = 0.012;
const isAtBorder = ({ x, y }: Point): boolean => Math.min(x, y, 1 - x, 1 - y) < BORDER;

/** How far out the rim of something so thick seems to lie from above and aside: the round of its edge, mm. */
const roundOf = (camera: Camera, at: Point, thickMm: number): number => {
  const eye = eyeOf(camera);
  const slant = Math.sqrt((at.x - eye.x) ** 2 + (at.y - eye.y) ** 2) / eye.z;
  return (thickMm / 2) * (Math.sqrt(1 + slant * slant) - 1);
};

/** Lengths of the lines by one choice, with how far each may be off. */
export const linesBy = (seen: Seen, choice: Choice, asked: PhotoAsked): Result<PhotoReading> => {
  const { pose, grid, piece } = choice;
  const { camera } = pose;
  const heightMm = rimHeight(asked);
  const first = placedBy(choice, asked.outline, piece.fit.turned);
  const coarse = coarseRim(
    asked.outline.map(p => toTable(first, p)),
    grid,
    piece.rather,
  );
  const fine = fineRim(coarse, seen.full, { camera, heightMm });
  if (fine.told < LIMITS.told) return err(issue('PHOTO_UNCLEAR', ''));
  const rim = fine.points.map((p, i) => {
    const n = fine.normals[i] ?? p;
    const by = roundOf(camera, p, asked.thickMm);
    return { x: p.x - by * n.x, y: p.y - by * n.y };
  });
  const depth = outlineDepth(asked.outline);
  const { placed, offMm } = registerOn(depth, rim, first);
  if (offMm > LIMITS.offMm) return err(issue('PHOTO_OTHER_SIZE', ''));
  const readable = asked.lines.filter(line => isReadable(asked.outline, line));
  const of = { outline: asked.outline, lines: readable };
  const share = (p: Point): Point => {
    const px = pixelOf(camera, { ...p, z: heightMm });
    return { x: px.x / seen.pixels.width, y: px.y / seen.pixels.height };
  };
  const beyond = rim.map(share).filter(isAtBorder).length;
  if (beyond > CUT * rim.length) return err(issue('PHOTO_CUT', ''));
  const eyeMm = eyeOf(camera).z;
  const readAs = (chords: readonly Chord[]): readonly LineRead[] =>
    chords
      .map(chord => ({
        id: chord.id,
        mm: chord.mm,
        within: SURE * sdOf(pose, chord, { heightMm, eyeMm }),
        from: share(chord.from),
        to: share(chord.to),
      }))
      .filter(l => l.within < LIMITS.line * l.mm);
  const lines = readAs(chordsOn(rim, placed, of));
  if (!lines.some(l => l.within < LIMITS.sure * l.mm)) return err(issue('PHOTO_UNSURE', ''));
  const turned = piece.fit.alike.slice(0, ALIKE).flatMap(turn => {
    const again = registerOn(depth, rim, placedBy(choice, asked.outline, turn));
    const other = again.offMm < offMm + 1 ? readAs(chordsOn(rim, again.placed, of)) : [];
    return differs(lines, other) ? [other] : [];
  });
  return ok({
    lines,
    turned,
    isMirrored: placed.isMirrored,
    rim: rim.map(share),
    card: choice.quad.map(p => ({ x: p.x / seen.pixels.width, y: p.y / seen.pixels.height })),
    onPlan: rim.map(p => unturned(placed, p)),
    camera,
    heightMm,
    picture: { width: seen.pixels.width, height: seen.pixels.height },
  });
};

/** Whether lines have other lengths in another reading. */
const differs = (lines: readonly LineRead[], other: readonly LineRead[]): boolean =>
  lines.some(l => other.some(o => o.id === l.id && Math.abs(o.mm / l.mm - 1) > SAME_LENGTH));

/** Deviation of a line, mm: of the camera, of the felt’s thickness and of the rim at both its ends. */
const sdOf = (
  pose: Pose,
  chord: Chord,
  { heightMm, eyeMm }: { readonly heightMm: number; readonly eyeMm: number },
): number => {
  const ends = [chord.from, chord.to].map(p => pixelOf(pose.camera, { ...p, z: heightMm }));
  const [a, b] = ends;
  if (!a || !b) return Number.POSITIVE_INFINITY;
  const ofCamera = pose.sdOf(camera => {
    const view = viewOf(camera);
    const [p, q] = [view(a, heightMm), view(b, heightMm)];
    return Math.sqrt((p.x - q.x) ** 2 + (p.y - q.y) ** 2);
  });
  return Math.hypot(ofCamera, (chord.mm * SD.thickMm) / 2 / eyeMm, Math.SQRT2 * SD.rimMm);
};

/** A line with its ends put elsewhere in the picture: longer by as much as they are further apart on the piece, and as sure as it was. */
export const moved = (
  line: LineRead,
  ends: { readonly from: Point; readonly to: Point },
  { camera, heightMm, picture }: PhotoReading,
): LineRead => {
  const view = viewOf(camera);
  const on = (p: Point): Point => view({ x: p.x * picture.width, y: p.y * picture.height }, heightMm);
  const apart = (a: Point, b: Point): number => {
    const [p, q] = [on(a), on(b)];
    return Math.sqrt((p.x - q.x) ** 2 + (p.y - q.y) ** 2);
  };
  const mm = line.mm + apart(ends.from, ends.to) - apart(line.from, line.to);
  return { ...line, ...ends, mm, within: (line.within / line.mm) * mm };
};
