import type { ProfilePoint, Turned } from '../core/forms/formKind';
import type { Point } from '../core/outline/polygon';

/** A small flat piece of a turned form as it is seen, mm on the screen's plane: x right, y down. */
export interface Facet {
  readonly corners: readonly [Point, Point, Point, Point];
  /** Light on it, 0 to 1. */
  readonly shade: number;
  /** True where the inside of the wall is seen, through the mouth. */
  readonly isInside: boolean;
  /** True beside the two lines where the resist's edges lay. */
  readonly isEdge: boolean;
}

/** How a turned form is looked at. */
export interface ViewAngle {
  /** Turn about its axis, degrees. */
  readonly turnDeg: number;
  /** How far from above it is seen, degrees. */
  readonly tiltDeg: number;
  /** Small pictures need fewer facets; 1440 of them, or 480. */
  readonly detail?: 'fine' | 'small';
}

const DETAIL = { fine: { sides: 48, most: 30 }, small: { sides: 32, most: 16 } } as const;
/** Light from the left, above and before; unit length. */
const LIGHT = { x: -0.48, up: 0.62, near: 0.62 };
const AMBIENT = 0.35;
const INSIDE_DIMMED = 0.6;

interface Seen extends Point {
  readonly depth: number;
}

/** At most so many rings, the ends kept. */
const rings = (profile: readonly ProfilePoint[], most: number): readonly ProfilePoint[] => {
  if (profile.length <= most) return profile;
  const step = (profile.length - 1) / (most - 1);
  return Array.from({ length: most }, (_, i) => profile[Math.round(i * step)]).filter(p => p !== undefined);
};

/** A surface of revolution as facets, those further away first, so that nearer ones cover them. */
export const turnedFacets = ({ profile, mouth }: Turned, look: ViewAngle): readonly Facet[] => {
  const { sides, most } = DETAIL[look.detail ?? 'fine'];
  const tilt = (look.tiltDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  const up = mouth === 'up' ? 1 : -1;
  const see = (p: ProfilePoint, angle: number): Seen => {
    const [x, near, z] = [p.r * Math.sin(angle), p.r * Math.cos(angle), up * p.z];
    return { x, y: near * sin - z * cos, depth: near * cos + z * sin };
  };
  const wall = rings(profile, most);
  const facets = wall.slice(1).flatMap((to, ring) => {
    const from = wall[ring];
    if (!from) return [];
    const [dr, dz] = [to.r - from.r, to.z - from.z];
    const length = Math.hypot(dr, dz);
    if (!(length > 0)) return [];
    return Array.from({ length: sides }, (_, side): Facet & { depth: number } => {
      const step = (2 * Math.PI) / sides;
      const angle = (look.turnDeg * Math.PI) / 180 + side * step;
      const corners = [
        see(from, angle),
        see(from, angle + step),
        see(to, angle + step),
        see(to, angle),
      ] as const;
      const middle = angle + step / 2;
      const out = {
        x: (dz / length) * Math.sin(middle),
        near: (dz / length) * Math.cos(middle),
        up: (-up * dr) / length,
      };
      const isInside = out.near * cos + out.up * sin < 0;
      const lit = out.x * LIGHT.x + out.up * LIGHT.up + out.near * LIGHT.near;
      const shade = AMBIENT + (1 - AMBIENT) * Math.max(0, isInside ? -lit : lit);
      return {
        corners,
        shade: isInside ? shade * INSIDE_DIMMED : shade,
        isInside,
        isEdge: side % (sides / 2) === 0,
        depth: corners.reduce((sum, c) => sum + c.depth, 0) / 4,
      };
    });
  });
  return facets.toSorted((a, b) => a.depth - b.depth);
};
