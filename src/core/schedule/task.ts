/** A moment or a length of time, whole minutes; moments count from an origin of the caller's choosing. */
export type Minute = number;

/** So much of something that there is only so much of: hands, a basin, places on the rack. */
export interface Use {
  readonly resource: string;
  readonly count: number;
}

/** Something to do: hands for a time, and then perhaps a wait that passes by itself. */
export interface Task {
  readonly id: string;
  /** Time of hands, ≥ 0. */
  readonly minutes: Minute;
  /** What must pass after it before the next may begin: soaking, drying, glue setting. ≥ 0. */
  readonly waitMin: Minute;
  /** What must be done and waited for before it. */
  readonly after: readonly string[];
  /** What it needs while hands are at it. */
  readonly uses: readonly Use[];
  /** What it takes up while it waits: places on the rack. */
  readonly keeps: readonly Use[];
  /** True where it may be left and gone on with in the next hours; else it is done in one go. */
  readonly mayPause: boolean;
  /** True where it tires the hands: such work is no longer at a stretch than they stand. */
  readonly tires: boolean;
  /** True where it goes right on from what it stands on, if it can: wet felt is not left lying. */
  readonly rightOn: boolean;
  /** Not before this; null for any time. */
  readonly from: Minute | null;
  /** When it and its wait must be over; null for no day. */
  readonly due: Minute | null;
  /** Put there by hand; null where it is laid in by the schedule. */
  readonly startAt: Minute | null;
}

/** A stretch of time, [start, end). */
export interface Span {
  readonly start: Minute;
  readonly end: Minute;
}

/** What work is laid into. */
export interface WorkHours {
  /** When the maker's hands are free: in order, none overlapping. */
  readonly hours: readonly Span[];
  /** How much of each there is at once; `hands` among them. */
  readonly capacity: Readonly<Record<string, number>>;
  /** The longest that hands stand tiring work at a stretch, min; null for no limit. */
  readonly sittingMin: Minute | null;
  /** How long hands rest then, min. */
  readonly restMin: Minute;
}

/** A task as it lies in time. */
export interface Placed {
  readonly id: string;
  /** When hands are at it, in order; one, where it is done in one go. */
  readonly spans: readonly Span[];
  /** When its wait is over. */
  readonly overAt: Minute;
}

/** Hands: the one thing that is there only in the maker's hours. */
export const HANDS = 'hands';

/** A stretch of a task that may be left is at least so long, unless it is all of it, min. Common practice. */
export const LEAST_STRETCH_MIN = 15;
