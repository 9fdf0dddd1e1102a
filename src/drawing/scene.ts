import type { FormPlan, Gauge } from '../core/forms/formKind';
import { boundsOf, type Box, type Point, scalePoints } from '../core/outline/polygon';
import type { MarkedOutline } from '../core/outline/foldOver';
import { EDGE_SURPLUS } from '../core/tolerances';
import { turnFor } from './orient';

/** What a line on the table stands for. Its look is one and the same in every view, print and export. */
export type Role =
  | 'laid'
  | 'now'
  | 'wanted'
  | 'wool'
  | 'mouth'
  | 'gauge'
  | 'cut'
  | 'fold'
  | 'opening'
  | 'hardest';

export interface Shape {
  readonly role: Role;
  readonly points: readonly Point[];
  readonly closed: boolean;
}

export interface Mark {
  readonly gauge: Gauge;
  readonly from: Point;
  readonly to: Point;
}

/** A handle on the table: what it changes, where it is, which way it pulls, and the change per mm. */
export interface Grip {
  readonly target: string;
  readonly at: Point;
  readonly towards: Point;
  readonly rate: number;
}

/** A piece drawn in mm on the table: x right, y down, the piece's middle at 0,0. */
export interface Scene {
  readonly shapes: readonly Shape[];
  readonly marks: readonly Mark[];
  readonly grips: readonly Grip[];
  readonly box: Box;
}

/** Open edges of an outline, neighbours as one line. */
const mouths = ({ points, open }: MarkedOutline): Shape[] => {
  const n = points.length;
  const starts = points.flatMap((_, i) => (open[i] && !open[(i - 1 + n) % n] ? [i] : []));
  return starts.map(start => {
    const line: Point[] = [];
    for (let i = start; i === start || open[(i - 1 + n) % n]; i = (i + 1) % n) {
      const p = points[i];
      if (p) line.push(p);
      if (line.length > n) break;
    }
    return { role: 'mouth', points: line, closed: false };
  });
};

/** Grips on the laid outline: dragging them changes the shrinkage of that direction, and the fold-over. */
const layingGrips = (form: FormPlan, foldOverMm: number, laidIsHeld: boolean): Grip[] => {
  const laid = boundsOf(form.laid.points);
  const finished = boundsOf(form.finished);
  const grips: Grip[] = [];
  const widest = form.laid.points.filter(p => p.y - laid.minY < 0.5);
  const widestX = widest.reduce((sum, p) => sum + p.x, 0) / widest.length;
  const along = { laid: laid.maxX - laid.minX, finished: finished.maxX - finished.minX };
  const across = { laid: laid.maxY - laid.minY, finished: finished.maxY - finished.minY };
  if (laidIsHeld) {
    // The laid outline stays: what is pulled is the wanted one. s = 1 − finished/laid, so ds = −d(finished)/laid.
    grips.push({
      target: 'shrinkage.along',
      at: { x: finished.minX, y: 0 },
      towards: { x: 1, y: 0 },
      rate: 2 / along.laid,
    });
    const top = form.finished.filter(p => p.y - finished.minY < 0.5);
    const topX = top.reduce((sum, p) => sum + p.x, 0) / top.length;
    grips.push({
      target: 'shrinkage.across',
      at: { x: topX, y: finished.minY },
      towards: { x: 0, y: 1 },
      rate: 2 / across.laid,
    });
    return grips;
  }
  // s = 1 − finished/laid, so ds = finished/laid² · d(laid); the drawing grows at both ends.
  grips.push({
    target: 'shrinkage.along',
    at: { x: laid.minX, y: 0 },
    towards: { x: -1, y: 0 },
    rate: (2 * along.finished) / along.laid ** 2,
  });
  grips.push({
    target: 'shrinkage.across',
    at: { x: widestX, y: laid.minY },
    towards: { x: 0, y: -1 },
    rate: (2 * across.finished) / across.laid ** 2,
  });
  if (form.outlineIs === 'resist')
    grips.push({
      target: 'foldOver',
      at: { x: widestX, y: laid.minY - foldOverMm },
      towards: { x: 0, y: -1 },
      rate: 1,
    });
  return grips;
};

/**
 * The scene of a piece.
 * @param now present length as a share of the laid one, per direction; left out before it is measured
 */
export const pieceScene = (
  form: FormPlan,
  options: {
    readonly foldOverMm: number;
    /** Whose wool and mouth are drawn; the first face's when left out. */
    readonly face?: number;
    /** True where the laid size is held and the finished one follows: then it is the wanted outline that is pulled. */
    readonly laidIsHeld?: boolean;
    readonly now?: { readonly along: number; readonly across: number };
  },
): Scene => {
  const turn = turnFor(form.alongOnTable);
  const shapes: Shape[] = [];
  const face = form.faces[options.face ?? 0] ?? form.faces[0];
  const wool = face?.wool ?? [];
  if (form.outlineIs === 'resist' && options.foldOverMm > 0)
    for (const points of wool) shapes.push({ role: 'wool', points, closed: true });
  shapes.push({ role: 'laid', points: form.laid.points, closed: true });
  if (form.outlineIs === 'resist') {
    if (form.edgeSurplus && form.edgeSurplus.ratio > EDGE_SURPLUS.warns)
      for (const points of form.edgeSurplus.hardest) shapes.push({ role: 'hardest', points, closed: false });
    if (face) shapes.push(...mouths(face.outline));
  }
  for (const { line } of form.openings) shapes.push({ role: 'opening', points: line, closed: true });
  for (const { line, closed } of form.folds)
    shapes.push({ role: 'fold', points: line, closed: closed ?? false });
  for (const { line, closed } of form.cuts)
    shapes.push({ role: 'cut', points: line, closed: closed ?? false });
  if (options.now)
    shapes.push({
      role: 'now',
      points: scalePoints(form.laid.points, { x: options.now.along, y: options.now.across }),
      closed: true,
    });
  if (!form.asItComes) shapes.push({ role: 'wanted', points: form.finished, closed: true });
  const turned = shapes.map(s => ({ ...s, points: s.points.map(turn) }));
  const grips = [
    ...form.handles.map(h => ({ target: h.measure, at: h.at, towards: h.towards, rate: h.rate })),
    ...layingGrips(form, options.foldOverMm, options.laidIsHeld ?? false),
  ];
  return {
    shapes: turned,
    marks: form.gauges.map(gauge => ({ gauge, from: turn(gauge.from), to: turn(gauge.to) })),
    grips: grips.map(g => ({ ...g, at: turn(g.at), towards: turn(g.towards) })),
    box: boundsOf(turned.flatMap(s => s.points)),
  };
};
