import {
  type Act,
  type LogEntry,
  type PinchGrade,
  ROLL_DIRECTIONS,
  type RollDirection,
  type TestName,
  TESTS,
  type Water,
} from './entry';
import { rollIntensity } from './intensity';
import { standing } from './standing';

/** A measuring of the gauge lines, and how many rolls had been done by then. */
export interface Reading {
  readonly entryId: string;
  readonly at: string;
  readonly readings: Readonly<Record<string, number | null>>;
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

/** What the log adds up to. Nothing of it is stored. */
export interface BenchState {
  readonly wettedFaces: readonly number[];
  readonly rubs: Readonly<Record<number, number>>;
  readonly petals: readonly Petal[];
  readonly rolls: number;
  readonly throws: number;
  readonly shocks: number;
  readonly pinch: PinchGrade | null;
  /** Rubs, rolls, throws and rounds of hot and cold since the last pinch test. */
  readonly workSincePinch: number;
  readonly readings: readonly Reading[];
  readonly rollsSinceMeasure: number;
  readonly throwsSinceMeasure: number;
  /** Last length of each gauge line that was read, mm. */
  readonly now: Readonly<Record<string, number>>;
  readonly lastAt: string | null;
  /** The water as it was last poured; null before that. */
  readonly water: Water | null;
  /** What was last seen at an opening. */
  readonly look: Extract<Act, { kind: 'look' }> | null;
  /** The last grade of each test. */
  readonly tests: Readonly<Partial<Record<TestName, number>>>;
  /** The same since each test was last done. */
  readonly workSinceTest: Readonly<Partial<Record<TestName, number>>>;
  readonly thickness: Extract<Act, { kind: 'thickness' }> | null;
  readonly isCut: boolean;
  readonly isResistOut: boolean;
  /** Faults that were seen and are not mended yet, and how much was done since. */
  readonly faults: readonly SeenFault[];
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

interface Fold {
  wetted: Set<number>;
  rubs: Record<number, number>;
  petals: Map<string, Petal>;
  rolls: number;
  throws: number;
  shocks: number;
  pinch: PinchGrade | null;
  workSincePinch: number;
  readings: Reading[];
  now: Record<string, number>;
  water: Water | null;
  look: BenchState['look'];
  tests: Partial<Record<TestName, number>>;
  workSinceTest: Partial<Record<TestName, number>>;
  thickness: BenchState['thickness'];
  isCut: boolean;
  isResistOut: boolean;
  faults: Map<string, SeenFault>;
}

const worked = (fold: Fold, count: number): void => {
  fold.workSincePinch += count;
  for (const test of TESTS) {
    const since = fold.workSinceTest[test];
    if (since !== undefined) fold.workSinceTest[test] = since + count;
  }
};

const roll = (fold: Fold, act: Extract<LogEntry['act'], { kind: 'roll' }>): void => {
  const key = `${act.face}/${act.directionDeg}`;
  const was = fold.petals.get(key) ?? { face: act.face, directionDeg: act.directionDeg, rolls: 0, work: 0 };
  const work = act.rolls * rollIntensity(act.cushion, act.pressure);
  fold.petals.set(key, { ...was, rolls: was.rolls + act.rolls, work: was.work + work });
  fold.rolls += act.rolls;
  worked(fold, act.rolls);
};

/** Rolls in each direction, all faces together. */
export const byDirection = (petals: Iterable<Petal>): Readonly<Record<number, number>> => {
  const found: Record<number, number> = {};
  for (const p of petals) found[p.directionDeg] = (found[p.directionDeg] ?? 0) + p.rolls;
  return found;
};

/** Rubs of all faces. */
export const rubsOf = (rubs: BenchState['rubs']): number =>
  Object.values(rubs).reduce((sum, n) => sum + n, 0);

/** What was seen, tested and opened. */
const applySeen = (fold: Fold, { id, act }: LogEntry): void => {
  if (act.kind === 'water') fold.water = act.water;
  else if (act.kind === 'look') fold.look = act;
  else if (act.kind === 'test') {
    fold.tests[act.test] = act.grade;
    fold.workSinceTest[act.test] = 0;
  } else if (act.kind === 'thickness') fold.thickness = act;
  else if (act.kind === 'open') {
    fold.isCut = true;
    fold.isResistOut ||= act.what === 'resist-out';
  } else if (act.kind === 'fault')
    fold.faults.set(id, {
      entryId: id,
      fault: act.fault,
      at: act.at,
      rollsThen: fold.rolls,
      doneThen: { byDirection: byDirection(fold.petals.values()), rubs: rubsOf(fold.rubs) },
    });
  else if (act.kind === 'mended') fold.faults.delete(act.of);
};

const apply = (fold: Fold, entry: LogEntry): void => {
  const { act } = entry;
  if (act.kind === 'wet') {
    fold.wetted.add(act.face);
    fold.water = act.water;
  } else if (act.kind === 'rub') {
    fold.rubs[act.face] = (fold.rubs[act.face] ?? 0) + act.count;
    worked(fold, act.count);
  } else if (act.kind === 'roll') roll(fold, act);
  else if (act.kind === 'throw') {
    fold.throws += act.count;
    worked(fold, act.count);
  } else if (act.kind === 'shock') {
    fold.shocks += act.rounds;
    worked(fold, act.rounds);
  } else if (act.kind === 'pinch') {
    fold.pinch = act.grade;
    fold.workSincePinch = 0;
  } else if (act.kind === 'measure') {
    fold.readings.push({
      entryId: entry.id,
      at: entry.at,
      readings: act.readings,
      rollsBefore: fold.rolls,
      throwsBefore: fold.throws,
    });
    for (const [id, value] of Object.entries(act.readings)) if (value !== null) fold.now[id] = value;
  }
};

/**
 * Folds a log into where the work stands. Undone entries do not count. Linear in the log.
 * @param wetted faces that were wetted while they were laid
 */
export const benchState = (log: readonly LogEntry[], wetted: readonly number[] = []): BenchState => {
  const fold: Fold = {
    wetted: new Set(wetted),
    rubs: {},
    petals: new Map(),
    rolls: 0,
    throws: 0,
    shocks: 0,
    pinch: null,
    workSincePinch: 0,
    readings: [],
    now: {},
    water: null,
    look: null,
    tests: {},
    workSinceTest: {},
    thickness: null,
    isCut: false,
    isResistOut: false,
    faults: new Map(),
  };
  const entries = standing(log);
  for (const entry of entries) {
    apply(fold, entry);
    applySeen(fold, entry);
  }
  return {
    wettedFaces: [...fold.wetted].toSorted((a, b) => a - b),
    rubs: fold.rubs,
    petals: [...fold.petals.values()],
    rolls: fold.rolls,
    throws: fold.throws,
    shocks: fold.shocks,
    pinch: fold.pinch,
    workSincePinch: fold.workSincePinch,
    readings: fold.readings,
    rollsSinceMeasure: fold.rolls - (fold.readings.at(-1)?.rollsBefore ?? 0),
    throwsSinceMeasure: fold.throws - (fold.readings.at(-1)?.throwsBefore ?? 0),
    now: fold.now,
    lastAt: entries.at(-1)?.at ?? null,
    water: fold.water,
    look: fold.look,
    tests: fold.tests,
    workSinceTest: fold.workSinceTest,
    thickness: fold.thickness,
    isCut: fold.isCut,
    isResistOut: fold.isResistOut,
    faults: [...fold.faults.values()],
  };
};

/** Rolls per direction, all faces together, in the order of the rose. */
export const rollsByDirection = (
  state: BenchState,
): ReadonlyArray<{ directionDeg: RollDirection; rolls: number }> =>
  ROLL_DIRECTIONS.map(directionDeg => ({
    directionDeg,
    rolls: byDirection(state.petals)[directionDeg] ?? 0,
  }));
