import { BALL_DRIES_HOURS } from '../acts/practice';

/** How a batch of balls goes, all of it common practice, no published source. */
export const BATCH_PRACTICE = {
  /** Balls that hands stand in one sitting. */
  perSitting: 12,
  /** Balls after which the water is dirty. */
  perWater: 5,
  /** Hours on a rack. */
  rackHours: BALL_DRIES_HOURS,
  /** Balls of a rack's tray, side by side. */
  perTray: 12,
} as const;

export interface BatchPlan {
  readonly sittings: number;
  /** Balls in each sitting, as even as can be; they sum to the batch. */
  readonly each: readonly number[];
  /** Times the water is changed within the sittings. */
  readonly waterChanges: number;
  readonly trays: number;
  readonly rackHours: number;
}

/**
 * Sittings, water and racks for a batch. Source: common practice.
 * @param pieces whole, ≥ 1
 * @example batchOf(30) // 3 sittings of 10, 3 water changes, 3 trays
 */
export const batchOf = (pieces: number): BatchPlan => {
  const { perSitting, perWater, perTray, rackHours } = BATCH_PRACTICE;
  const sittings = Math.ceil(pieces / perSitting);
  const each = Array.from(
    { length: sittings },
    (_, i) => Math.floor(pieces / sittings) + (i < pieces % sittings ? 1 : 0),
  );
  return {
    sittings,
    each,
    // Every sitting begins with clean water; within it, it is changed after every few.
    waterChanges: each.reduce((sum, n) => sum + Math.ceil(n / perWater) - 1, 0),
    trays: Math.ceil(pieces / perTray),
    rackHours,
  };
};
