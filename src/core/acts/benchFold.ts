import {
  type DrawingMark,
  type Foam,
  type PinchGrade,
  type RollDirection,
  type TestName,
  TESTS,
  type Water,
  type Wetness,
} from './vocabulary';

/** A measuring of the measuring lines, and how many rolls had been done by then. */
export interface Reading {
  readonly entryId: string;
  readonly at: string;
  readonly readings: Readonly<Record<string, number | null>>;
  /** Where its edge lay on the drawing, where it was held against that instead. */
  readonly drawing?: DrawingMark;
  readonly rollsBefore: number;
  readonly throwsBefore: number;
}

/** Rolls in one direction on one face. `work` weighs each by cushion and pressure. */
export interface Petal {
  readonly face: number;
  readonly directionDeg: RollDirection;
  readonly rolls: number;
  readonly work: number;
}

/** A fault as it stands in the log. */
export interface SeenFault {
  readonly entryId: string;
  readonly fault: string;
  readonly at: { readonly x: number; readonly y: number } | null;
  readonly rollsThen: number;
  /** Rolls by direction, and rubs of all faces, by then. */
  readonly doneThen: { readonly byDirection: Readonly<Record<number, number>>; readonly rubs: number };
}

/** Where the work stands while a log is folded, entry by entry. Acts change it; nobody else keeps it. */
export interface BenchFold {
  /** How much of each act was done, by its kind, in its own unit. */
  done: Record<string, number>;
  wetted: Set<number>;
  /** Rubs by face. */
  rubs: Record<number, number>;
  petals: Map<string, Petal>;
  pinch: PinchGrade | null;
  /** Amount of all that works the felt since the last pinch test. */
  workSincePinch: number;
  readings: Reading[];
  /** Last length of each measuring line that was read, mm. */
  now: Record<string, number>;
  /** The water as it was last poured; null before that. */
  water: Water | null;
  /** What was last seen at an opening. */
  look: { readonly wetness: Wetness | null; readonly foam: Foam | null } | null;
  /** Amount of all that works the felt since it was opened; null before that. */
  workSinceOpen: number | null;
  /** The last grade of each test. */
  tests: Partial<Record<TestName, number>>;
  /** The same since each test was last done. */
  workSinceTest: Partial<Record<TestName, number>>;
  thickness: { readonly thicknessMm: number; readonly grams: number | null } | null;
  isCut: boolean;
  /** How many of its cuts were made; no end of them where all were at once. */
  cuts: number;
  isResistOut: boolean;
  /** Whether something was cut and its edges were not rubbed since. */
  cutSinceEdges: boolean;
  /** Whether it is inside out, beside how it was made. */
  isTurnedOut: boolean;
  /** Which side lies up: the front, 1, until it is turned over or rolled from its back, 2. */
  up: number;
  /** Faults that were seen and are not mended yet, by the entry that says so. */
  faults: Map<string, SeenFault>;
}

/** A fold before anything was done. @param wetted faces that were wetted while they were laid */
export const beginFold = (wetted: readonly number[]): BenchFold => ({
  done: {},
  wetted: new Set(wetted),
  rubs: {},
  petals: new Map(),
  pinch: null,
  workSincePinch: 0,
  readings: [],
  now: {},
  water: null,
  look: null,
  tests: {},
  workSinceTest: {},
  thickness: null,
  workSinceOpen: null,
  isCut: false,
  cuts: 0,
  isResistOut: false,
  cutSinceEdges: false,
  isTurnedOut: false,
  up: 1,
  faults: new Map(),
});

/** How much of an act was done so far. */
export const doneOf = (fold: Pick<BenchFold, 'done'>, kind: string): number => fold.done[kind] ?? 0;

/** Counts work on the felt: what was tested before it is not tested any more. */
export const markWorked = (fold: BenchFold, count: number): void => {
  fold.workSincePinch += count;
  if (fold.workSinceOpen !== null) fold.workSinceOpen += count;
  for (const test of TESTS) {
    const since = fold.workSinceTest[test];
    if (since !== undefined) fold.workSinceTest[test] = since + count;
  }
};

/** Rolls in each direction, all faces together. */
export const byDirection = (petals: Iterable<Petal>): Readonly<Record<number, number>> => {
  const found: Record<number, number> = {};
  for (const p of petals) found[p.directionDeg] = (found[p.directionDeg] ?? 0) + p.rolls;
  return found;
};

/** Rubs of all faces. */
export const rubsOf = (rubs: Readonly<Record<number, number>>): number =>
  Object.values(rubs).reduce((sum, n) => sum + n, 0);

/** Adds rolls to their petal. */
export const addPetal = (fold: BenchFold, { face, directionDeg, rolls, work }: Petal): void => {
  const key = `${face}/${directionDeg}`;
  const was = fold.petals.get(key);
  fold.petals.set(key, {
    face,
    directionDeg,
    rolls: (was?.rolls ?? 0) + rolls,
    work: (was?.work ?? 0) + work,
  });
};
