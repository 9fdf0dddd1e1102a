import type { Cushion, Pressure, RollDirection, Water } from './vocabulary';

/** Everything that can be chosen of any act; each takes what it needs. */
export interface ActChoices {
  readonly face?: number;
  readonly directionDeg?: RollDirection;
  /** In the unit of the act: rolls, rubs, throws, rounds. */
  readonly count?: number;
  readonly cushion?: Cushion;
  readonly pressure?: Pressure;
  readonly water?: Water;
  /** True where it was done by feel: nobody counted. */
  readonly feel?: boolean;
  /** Which of a few things it does: `cut` or `resist-out` of an opening. */
  readonly what?: string;
  /** Which of several cuts, from 1. */
  readonly cut?: number;
  /** Which of many alike, and which is next; null where all are through. */
  readonly piece?: number;
  readonly next?: number | null;
  /** A step of a recipe. */
  readonly step?: string;
}
