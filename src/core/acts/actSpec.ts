import type { z } from 'zod';
import type { UnitSystem } from '../units/units';
import type { BenchFold } from './benchFold';
import type { RecipeStep, StepMove, WorkScope } from './recipeStep';
import type { ActChoices } from './choices';
import type { Cushion, DrawingMark, Pressure, TestName, Water } from './vocabulary';

/** Anything that can stand in a log. */
export interface BaseAct {
  readonly kind: string;
}

/** An act in its place in the log. */
export interface ActAt {
  readonly entryId: string;
  /** When, ISO 8601. */
  readonly at: string;
}

/** How much was done, and how far that may be off: its deviation, 0 where it was counted. */
export interface Amount {
  readonly count: number;
  readonly spread: number;
}

/** What an act does to the felt, in reference rolls; its direction, or null where it has none. */
export interface FeltWork {
  readonly rolls: number;
  readonly spread: number;
  readonly directionDeg: number | null;
}

/** How a piece is spoken of: its faces, whether its rolls have a direction, in which units, and what codes are called. */
export interface PieceWording {
  readonly faces: number;
  readonly isSolid: boolean;
  /** True for a sheet, which is rolled with its front and with its back up. */
  readonly hasBack?: boolean;
  readonly units: UnitSystem;
  /** What a fault is called that was seen. */
  readonly faultName: (fault: string) => string;
  /** What a test with its grade is called. */
  readonly testWords: (test: TestName, grade: number) => string;
  /** Where the edge lies on the drawing. */
  readonly markWords: (mark: DrawingMark) => string;
}

/** How this felter usually does it. */
export interface UsualWork {
  readonly setOfRolls: number;
  readonly cushion: Cushion;
  readonly pressure: Pressure;
  /** What is done of an act at once, by its kind; what is not named is as common practice has it. */
  readonly amounts?: Readonly<Record<string, number>>;
}

/** How an act is chosen and logged at the bench. */
export interface ActControl<A extends BaseAct> {
  /** What stands on its key; without one it is only done when it is advised. */
  readonly key?: string;
  /** What can be chosen of it, in the order it is shown. */
  readonly takes: ReadonlyArray<'direction' | 'side' | 'water' | 'count' | 'cushion' | 'pressure'>;
  /** What its count is in, where it is no plain number: minutes. */
  readonly unit?: 'min';
  /** Counts to choose from, and the one that is taken until another is chosen (common practice). */
  readonly counts?: { readonly usual: number; readonly choices: readonly number[] };
  /** True where it can be logged without a number: what takes minutes always can. */
  readonly byFeel?: true;
  /** What the keys to the right and left change. */
  readonly turns?: 'direction' | 'water' | 'count';
  /** The act as a tap would log it; null where what it needs is not chosen. */
  readonly make: (choices: ActChoices, usual: UsualWork) => A | null;
  /** All of an act that can be chosen. */
  readonly choicesOf: (act: A) => ActChoices;
  /** The same act with another count, and what a pacer counts of it beat by beat, where it can. */
  readonly counted?: {
    readonly noun?: string;
    readonly withCount: (act: A, count: number, give?: number) => A;
  };
}

/** What a step of a recipe that asks for this act still asks for, and how it is said. */
export interface StepRest {
  /** @param done how much of each part was done since the step began, by the keys of `tally` */
  readonly left: (step: RecipeStep, done: (key: string) => number, as: WorkScope) => readonly StepMove[];
  /** The act in a list to choose from. */
  readonly name: string;
  /** What a step says beside the act itself. */
  readonly takes: ReadonlyArray<'count' | 'minutes' | 'cushion' | 'water'>;
  /** The step in full. @param each what is said where every face is meant */
  readonly words: (step: RecipeStep, each: string) => string;
  /** What a step of a new recipe begins with. */
  readonly begins?: Omit<RecipeStep, 'id' | 'act'>;
}

/** What an act is made of: its kind, and what it carries. */
export type ActObject = z.ZodObject<{ kind: z.ZodLiteral<string> }>;

/** Everything about one act. A newcomer is one file like this and a line in the register. */
export interface ActSpec<A extends BaseAct> {
  /** Where it is done: at the bench, beside it (weighing, laying), or on the log itself (taking back). */
  readonly place: 'bench' | 'beside' | 'log';
  /** What was done, as it stands in the log and on Undo. */
  readonly words: (act: A, of: PieceWording) => string;
  /** A caution that belongs to it, once and quietly. Not medical advice. */
  readonly caution?: string;
  /** How much was done, where it is counted. */
  readonly amount?: (act: A) => Amount;
  /** What it does to the felt; left out where it is no work. Common practice; nothing was measured. */
  readonly work?: (act: A, water: Water) => FeltWork;
  /** The water it leaves, where it changes it. */
  readonly water?: (act: A) => Water;
  /** True where it is done to all of many alike at once: shaken in a bowl, washed in the machine. */
  readonly ofAll?: true;
  /** Which of many alike is in the hands after it; null where it stays the same one. */
  readonly takesUp?: (act: A) => number | null;
  /** What it changes of where the work stands. */
  readonly fold?: (fold: BenchFold, act: A, at: ActAt) => void;
  /** What it counts towards steps of recipes, by a key for each part; one of `''` when left out. */
  readonly tally?: (act: A) => ReadonlyArray<readonly [key: string, amount: number]>;
  /** Steps of recipes that ask for it, by their name. */
  readonly asked?: Readonly<Record<string, StepRest>>;
  readonly control?: ActControl<A>;
  /** Hashes of pictures and other files that it holds. */
  readonly attachments?: (act: A) => readonly string[];
}

/** An act as the register has it: what it says of itself, asked of any act. */
export interface ActEntry<S extends ActObject> {
  readonly kind: z.infer<S>['kind'];
  readonly schema: S;
  readonly place: ActSpec<BaseAct>['place'];
  readonly caution: string | null;
  readonly asked: Readonly<Record<string, StepRest>>;
  readonly is: (act: BaseAct) => act is z.infer<S>;
  readonly words: (act: BaseAct, of: PieceWording) => string;
  readonly amount: (act: BaseAct) => Amount | null;
  readonly work: (act: BaseAct, water: Water) => FeltWork | null;
  readonly water: (act: BaseAct) => Water | null;
  readonly ofAll: boolean;
  readonly takesUp: (act: BaseAct) => number | null;
  readonly fold: (fold: BenchFold, act: BaseAct, at: ActAt) => void;
  readonly tally: (act: BaseAct) => ReadonlyArray<readonly [key: string, amount: number]>;
  readonly attachments: (act: BaseAct) => readonly string[];
  readonly control: {
    readonly key: string | null;
    readonly takes: ActControl<BaseAct>['takes'];
    readonly unit: 'min' | null;
    readonly byFeel: boolean;
    readonly counts: NonNullable<ActControl<BaseAct>['counts']> | null;
    readonly turns: NonNullable<ActControl<BaseAct>['turns']> | null;
    readonly make: (choices: ActChoices, usual: UsualWork) => z.infer<S> | null;
    readonly choicesOf: (act: BaseAct) => ActChoices;
    readonly noun: string | null;
    readonly withCount: (act: BaseAct, count: number, give?: number) => z.infer<S> | null;
  } | null;
}

/** Puts what an act says of itself into the shape in which any act can be asked. */
export const defineAct =
  <S extends ActObject>(schema: S) =>
  (spec: ActSpec<z.infer<S>>): ActEntry<S> => {
    const kind = schema.shape.kind.value;
    const is = (act: BaseAct): act is z.infer<S> => act.kind === kind;
    const { control } = spec;
    return {
      kind,
      schema,
      place: spec.place,
      caution: spec.caution ?? null,
      asked: spec.asked ?? {},
      is,
      words: (act, of) => (is(act) ? spec.words(act, of) : ''),
      amount: act => (is(act) ? (spec.amount?.(act) ?? null) : null),
      work: (act, water) => (is(act) ? (spec.work?.(act, water) ?? null) : null),
      ofAll: spec.ofAll ?? false,
      takesUp: act => (is(act) ? (spec.takesUp?.(act) ?? null) : null),
      water: act => (is(act) ? (spec.water?.(act) ?? null) : null),
      fold: (fold, act, at) => {
        if (is(act)) spec.fold?.(fold, act, at);
      },
      tally: act => (is(act) ? (spec.tally?.(act) ?? [['', spec.amount?.(act).count ?? 1]]) : []),
      attachments: act => (is(act) ? (spec.attachments?.(act) ?? []) : []),
      control: control
        ? {
            key: control.key ?? null,
            takes: control.takes,
            unit: control.unit ?? null,
            byFeel: control.byFeel ?? control.unit === 'min',
            counts: control.counts ?? null,
            turns: control.turns ?? null,
            make: control.make,
            choicesOf: act => (is(act) ? control.choicesOf(act) : {}),
            noun: control.counted?.noun ?? null,
            withCount: (act, count, give) =>
              is(act) ? (control.counted?.withCount(act, count, give) ?? null) : null,
          }
        : null,
    };
  };
