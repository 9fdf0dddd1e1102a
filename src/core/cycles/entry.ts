/** One thing done at the bench, or measured, or taken back. An entry is a fact and is never edited in place. */
export const CUSHIONS = ['thick', 'bubble', 'mat', 'bare'] as const;
export const PRESSURES = ['light', 'arms', 'hard'] as const;
export const ROLL_DIRECTIONS = [0, 45, 90, 135] as const;

export type Cushion = (typeof CUSHIONS)[number];
export type Pressure = (typeof PRESSURES)[number];
export type RollDirection = (typeof ROLL_DIRECTIONS)[number];
/** 0 strands come away, 1 strands lift, 2 the skin lifts as one, 3 nothing lifts. */
export type PinchGrade = 0 | 1 | 2 | 3;

export type Act =
  | { readonly kind: 'wet'; readonly face: number; readonly water: 'warm' | 'hot' }
  | { readonly kind: 'rub'; readonly face: number; readonly count: number }
  | {
      readonly kind: 'roll';
      readonly face: number;
      /** Degrees from along: the direction in which the bundle advances, which is the one that shortens. */
      readonly directionDeg: RollDirection;
      readonly rolls: number;
      readonly cushion: Cushion;
      readonly pressure: Pressure;
    }
  | { readonly kind: 'throw'; readonly count: number }
  | { readonly kind: 'shock'; readonly rounds: number }
  | { readonly kind: 'measure'; readonly readings: Readonly<Record<string, number | null>> }
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
