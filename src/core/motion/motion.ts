/** What a phone feels at one moment: how it is pushed, gravity and all, m/s², and how it turns, rad/s; along its own three axes. */
export interface MotionSample {
  /** When, ms, from any beginning. */
  readonly atMs: number;
  readonly push: readonly [number, number, number];
  /** Null on a device that feels no turning. */
  readonly turn: readonly [number, number, number] | null;
}

/** Where the phone is while one rolls. */
export const MOTION_PLACES = ['wrist', 'pocket', 'bundle'] as const;
export type MotionPlace = (typeof MOTION_PLACES)[number];

/** Samples are laid onto even steps of so long, ms: 25 a second serve devices of 20 to 60. */
export const STEP_MS = 40;
/** Channels that move as a speed does: three of how it is pushed, three of how it turns. */
export const CHANNELS = 6;
