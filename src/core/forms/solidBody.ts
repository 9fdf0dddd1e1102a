import { boundsOf, polygonArea, type Polygon, scalePoints } from '../outline/polygon';
import {
  type FormPlan,
  type Handle,
  type LayingTransform,
  PLAIN,
  type ProfilePoint,
  type Solid,
} from './formKind';
import { gaugesOverAll, overAll, type OverAll } from './gaugeLine';
import { turnedVolume } from './profile';

/** A body of felt, turned about its along axis. */
export interface SolidShape {
  /** Half of its outline from end to end, finished mm. */
  readonly profile: readonly ProfilePoint[];
  /** Volume in its middle that is not weighed as its wool, mm³: a bead, yarn, raw fleece. */
  readonly hollowMm3?: number;
  readonly heaps?: Solid['heaps'];
  readonly apart?: NonNullable<Solid['apart']>;
  readonly extraShare?: number;
  /** Length and width, where the profile is only near them: a round one is drawn with sides. */
  readonly overAll?: OverAll;
  readonly handles: readonly Handle[];
  readonly gaugeNames?: readonly [string, string];
  readonly alongOnTable?: FormPlan['alongOnTable'];
  /** Pieces beyond this one body that its volume stands for: beads of a string. */
  readonly alike?: number;
  readonly more?: Partial<Pick<FormPlan, 'facts' | 'hints' | 'cuts'>>;
}

/** The outline of a turned body as it is seen from the side, its middle at 0,0. */
const sideView = (profile: readonly ProfilePoint[]): Polygon => {
  const middle = ((profile[0]?.z ?? 0) + (profile.at(-1)?.z ?? 0)) / 2;
  const lower = profile.map(p => ({ x: p.z - middle, y: -p.r }));
  const upper = profile
    .map(p => ({ x: p.z - middle, y: p.r }))
    .toReversed()
    .filter(p => p.y > 0);
  return [...lower, ...upper];
};

/** What is weighed for a body all of one wool. */
const ONE_HEAP = [{ name: 'wool', share: 1, count: 1 }] as const;

/**
 * Solid: wool goes with the volume. Its dashed outline is the body rolled dry, before it shrinks.
 * Source: m = ρ·V/η; rolled dry = finished/(1−s).
 */
export const planSolid = (shape: SolidShape, laying: LayingTransform): FormPlan => {
  const { factor } = laying;
  const finished = sideView(shape.profile);
  const points = scalePoints(finished, { x: factor.along, y: factor.across });
  const outline = { points, open: points.map(() => false) };
  const netMm2 = polygonArea(points);
  const alike = shape.alike ?? 1;
  return {
    ...PLAIN,
    outlineIs: 'rolled',
    finished,
    laid: outline,
    faces: [{ name: 'body', outline, wool: [points], netMm2, woolMm2: netMm2 }],
    gauges: gaugesOverAll(shape.overAll ?? overAll(boundsOf(finished)), boundsOf(points), {
      laying,
      names: shape.gaugeNames ?? ['one way', 'the other way'],
    }),
    handles: shape.handles,
    finishedMm2: polygonArea(finished),
    turned: { profile: shape.profile, mouth: 'up' },
    solid: {
      feltMm3: alike * (turnedVolume(shape.profile) - (shape.hollowMm3 ?? 0)),
      extraShare: shape.extraShare ?? 0,
      heaps: shape.heaps ?? ONE_HEAP,
      ...(shape.apart ? { apart: shape.apart } : {}),
    },
    alongOnTable: shape.alongOnTable ?? 'right',
    ...shape.more,
  };
};

/** Volume of a ball, mm³. */
export const ballVolume = (diameter: number): number => (Math.PI / 6) * diameter ** 3;

const STEPS = 96;

/** An ellipsoid's profile of the exact volume, so that grams are not short by the corners. */
export const ellipsoidProfile = (length: number, width: number): ProfilePoint[] => {
  const profile = Array.from({ length: STEPS + 1 }, (_, i) => {
    const angle = (Math.PI * i) / STEPS;
    const ends = i === 0 || i === STEPS;
    return { z: (-length / 2) * Math.cos(angle), r: ends ? 0 : (width / 2) * Math.sin(angle) };
  });
  const exact = (Math.PI / 6) * length * width * width;
  const wider = Math.sqrt(exact / turnedVolume(profile));
  return profile.map(p => ({ z: p.z, r: p.r * wider }));
};
