import type { Air } from '../acts/finishSteps';

/** How much longer or shorter than in a room it takes. Common practice. */
export const AIR_SHARE: Readonly<Record<Air, number>> = { warm: 0.4, sun: 0.5, room: 1, cool: 2 };
/** A wall so thick is dry in a room within a day. Common practice. */
const DAY_WALL_MM = 4;
const EXPONENT = 1.3;

/** What dries: a wall, or something round with no inside. */
export type DryingBody =
  | {
      readonly is: 'wall';
      readonly thicknessMm: number;
      /** True where an edge is folded double. */ readonly isFolded?: boolean;
    }
  | { readonly is: 'round'; readonly diameterMm: number };

/** The thickness of a wall that dries as it does, mm: a ball or cord has the surface to its volume of a sheet a third as thick. */
const dryingWallMm = (body: DryingBody): number =>
  body.is === 'round' ? body.diameterMm / 3 : body.thicknessMm * (body.isFolded ? 2 : 1);

/**
 * Hours until it is dry: 24 · (t/4 mm)^1.3 × air. Common practice.
 * @param body mm, > 0  @returns h, unrounded
 * @example dryingHours({ is: 'wall', thicknessMm: 4 }, 'room') // 24
 */
export const dryingHours = (body: DryingBody, air: Air): number =>
  24 * (dryingWallMm(body) / DAY_WALL_MM) ** EXPONENT * AIR_SHARE[air];
