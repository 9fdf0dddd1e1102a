import type { Point } from './polygon';

/** A point of a drawn outline, mm. Round: the line passes through it in a curve; else it is a corner. */
export interface DrawnPoint extends Point {
  readonly round: boolean;
}

/** An outline drawn by hand or read from a file, mm in its own frame: x along, y across. */
export interface DrawnOutline {
  readonly points: readonly DrawnPoint[];
  /** Edges that stay open, by the index of the point they start at. */
  readonly open: readonly number[];
  /** Mirrored about its along axis: points on one side stand for both. */
  readonly mirrored: boolean;
}

/** How near the axis a point of a mirrored outline is taken to lie on it, mm. */
const ON_AXIS_MM = 0.01;

/** Every point of an outline, both halves of a mirrored one, and whether the edge that each starts is open. */
export const wholeOutline = (
  drawn: DrawnOutline,
): { readonly points: readonly DrawnPoint[]; readonly open: readonly boolean[] } => {
  const { points } = drawn;
  const isOpen = (i: number): boolean => drawn.open.includes(i);
  if (!drawn.mirrored) return { points, open: points.map((_, i) => isOpen(i)) };
  const last = points.length - 1;
  // The half runs from the axis to the axis; its image runs back. Edge i of the half is edge −i of the image.
  const image = points
    .map((p, i) => ({ point: { ...p, y: -p.y }, open: i > 0 && isOpen(i - 1), i }))
    .toReversed()
    .filter(({ point, i }) => !(Math.abs(point.y) <= ON_AXIS_MM && (i === 0 || i === last)));
  const lastOnAxis = Math.abs(points[last]?.y ?? 0) <= ON_AXIS_MM;
  const half = points.map((point, i) => ({
    point,
    // From the last point of the half on, an edge belongs to the image.
    open: i < last ? isOpen(i) : lastOnAxis && isOpen(last - 1),
  }));
  const all = [...half, ...image];
  return { points: all.map(a => a.point), open: all.map(a => a.open) };
};
