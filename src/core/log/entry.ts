/** One thing done at the bench, or measured, or taken back. An entry is a fact and is never edited in place. */
export const CUSHIONS = ['thick', 'bubble', 'mat', 'bare'] as const;
export const PRESSURES = ['light', 'arms', 'hard'] as const;
export const ROLL_DIRECTIONS = [0, 45, 90, 135] as const;

export type Cushion = (typeof CUSHIONS)[number];
export type Pressure = (typeof PRESSURES)[number];
export type RollDirection = (typeof ROLL_DIRECTIONS)[number];
export const WATERS = ['hot', 'warm', 'cold'] as const;
export type Water = (typeof WATERS)[number];
export const WETNESSES = ['dry', 'right', 'pools'] as const;
export const FOAMS = ['none', 'right', 'much'] as const;
/** Tests beside the pinch test, each with grades from 0. */
export const TESTS = ['finger', 'pull', 'light', 'squeeze', 'cloth', 'bend', 'resist'] as const;
export type TestName = (typeof TESTS)[number];
/** 0 strands come away, 1 strands lift, 2 the skin lifts as one, 3 nothing lifts. */
export type PinchGrade = 0 | 1 | 2 | 3;

export type Act =
  | { readonly kind: 'wet'; readonly face: number; readonly water: 'warm' | 'hot' }
  | {
      readonly kind: 'rub';
      readonly face: number;
      readonly count: number;
      /** Deviation of the count, where it was guessed or reckoned from minutes. */
      readonly give?: number;
    }
  | {
      readonly kind: 'roll';
      readonly face: number;
      /** Degrees from along: the direction in which the bundle advances, which is the one that shortens. */
      readonly directionDeg: RollDirection;
      readonly rolls: number;
      /** Deviation of the count, where it was guessed or reckoned from minutes. */
      readonly give?: number;
      readonly cushion: Cushion;
      readonly pressure: Pressure;
    }
  | { readonly kind: 'throw'; readonly count: number }
  | { readonly kind: 'shock'; readonly rounds: number }
  | { readonly kind: 'measure'; readonly readings: Readonly<Record<string, number | null>> }
  /** The water was changed, or heated again. */
  | { readonly kind: 'water'; readonly water: Water }
  /** What was seen at an opening; null where it was not looked at. */
  | {
      readonly kind: 'look';
      readonly wetness: (typeof WETNESSES)[number] | null;
      readonly foam: (typeof FOAMS)[number] | null;
    }
  /** A test with its grade, from 0; what each means stands in `core/cycles/tests.ts`. */
  | { readonly kind: 'test'; readonly test: TestName; readonly grade: number }
  /** Thickness, mm, and what the damp or dry piece weighed, g; null where it was not weighed. */
  | { readonly kind: 'thickness'; readonly thicknessMm: number; readonly grams: number | null }
  /** The mouth was cut, or the resist taken out. */
  | { readonly kind: 'open'; readonly what: 'cut' | 'resist-out' }
  /** Something that is wrong: which fault, and where on the laid outline, mm; null where it has no place. */
  | {
      readonly kind: 'fault';
      readonly fault: string;
      readonly at: { readonly x: number; readonly y: number } | null;
    }
  /** A step of the recipe: done, left out, or its clock started. */
  | { readonly kind: 'step'; readonly step: string; readonly how: 'done' | 'skipped' | 'started' }
  /** A fault that is mended. */
  | { readonly kind: 'mended'; readonly of: string }
  | { readonly kind: 'pinch'; readonly grade: PinchGrade }
  | { readonly kind: 'note'; readonly text: string }
  /** A step of laying, done or left out. */
  | { readonly kind: 'lay'; readonly step: string; readonly how: 'done' | 'skipped' }
  /** A pile weighed for this piece: net grams, what was planned, and the bowl that was taken off. */
  | {
      readonly kind: 'weigh';
      readonly pile: string;
      readonly woolId: string | null;
      readonly grams: number;
      readonly plannedG: number;
      readonly tareG: number;
    }
  /** Takes an entry back; taking an undo back brings the entry again. */
  | { readonly kind: 'undo'; readonly of: string };

export type ActKind = Act['kind'];

/** An act with its name and time. `seq` orders the log of one piece; a clock set back does not. */
export interface LogEntry {
  readonly id: string;
  readonly seq: number;
  readonly at: string;
  readonly act: Act;
}
