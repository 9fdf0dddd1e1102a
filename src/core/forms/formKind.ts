import type { FitSpec, LineKind } from './fitSpec';
import type { WayId } from './wayId';
import type { IssueCode } from '../issues';
import type { FinishedMm, LaidMm, Mm } from '../quantity';
import type { DrawnOutline } from '../outline/drawn';
import type { MarkedOutline } from '../outline/foldOver';
import type { Point, Polygon } from '../outline/polygon';

/** The measures of a piece by id: finished mm, or what the measure's own dimension says. */
export type Measures = Readonly<Record<string, number>>;

/** One row of a table of sizes: what it is called, and the length it stands for, mm. */
export interface SizeRow {
  readonly text: string;
  readonly mm: number;
}

/** A table of sizes that a measure may be taken from, with its source. */
export interface SizeTable {
  readonly name: string;
  readonly source: string;
  readonly rows: readonly SizeRow[];
}

/** One measure of a form: what it is called and what it may be. */
export interface MeasureSpec {
  readonly id: string;
  readonly label: string;
  readonly hint: string;
  readonly min: number;
  readonly max: number;
  /** False for a measure that does not grow with the piece. */
  readonly scales: boolean;
  /** A length when left out. */
  readonly dimension?: 'length' | 'thickness' | 'count' | 'share' | 'areal' | 'mass' | 'choice';
  /** For a choice: what each number stands for. */
  readonly options?: ReadonlyArray<{ readonly value: number; readonly text: string }>;
  /** How many wall thicknesses an outside measure is larger than the inside one; 0 when left out. */
  readonly outside?: number;
  /** Room added so that it fits: common practice, no published source. */
  readonly allowance?: boolean;
  /** True when it follows from the others at the moment. */
  readonly follows?: boolean;
  /** Sizes it may be taken from. */
  readonly table?: SizeTable;
}

/** A line that is measured again and again at the bench. */
export interface Gauge {
  readonly id: string;
  readonly name: string;
  /** Degrees from the along axis. */
  readonly directionDeg: number;
  readonly laidMm: LaidMm;
  readonly wantedMm: FinishedMm;
  /** Ends of the line on the laid outline, mm. */
  readonly from: Point;
  readonly to: Point;
  /** What kind of length it is; of the felt when left out. */
  readonly how?: LineKind;
}

/** A point on the drawing that can be dragged to change a measure. */
export interface Handle {
  readonly measure: string;
  readonly at: Point;
  /** Direction in which dragging makes the measure larger, unit length. */
  readonly towards: Point;
  /** Change of the measure per mm dragged. */
  readonly rate: number;
}

/** A face that is laid with wool. */
export interface Face {
  readonly name: string;
  /** Outline of the resist on this face. */
  readonly outline: MarkedOutline;
  /** Outline of the wool, fold-over included. */
  readonly wool: readonly Polygon[];
  readonly netMm2: number;
  readonly woolMm2: number;
}

/** How much longer the folded edge is than the middle it must become. */
export interface EdgeSurplus {
  readonly edgeMm: number;
  readonly middleMm: number;
  readonly ratio: number;
  /** Stretches of the edge, on the laid outline, that must shrink most. */
  readonly hardest: ReadonlyArray<readonly Point[]>;
}

/** A named line on the laid outline. */
export interface NamedLine {
  readonly name: string;
  readonly line: readonly Point[];
  /** True for a line that ends where it began. */
  readonly closed?: boolean;
}

/** A figure that follows from the form, and why. */
export interface Fact {
  readonly name: string;
  readonly value: number;
  readonly dimension: 'length' | 'count' | 'share' | 'plain' | 'area' | 'volume' | 'areal' | 'mass';
  /** The formula, in words or letters, with its source where it has one. */
  readonly why: string;
}

/** A place on a profile that is turned about the axis: height and radius, finished mm. */
export interface ProfilePoint {
  readonly z: number;
  readonly r: number;
}

/** A form turned about its axis: its profile from the closed end to the mouth, and which way the mouth looks. */
export interface Turned {
  readonly profile: readonly ProfilePoint[];
  readonly mouth: 'up' | 'down';
}

/** A body of felt through and through. */
export interface Solid {
  /** Volume of felt that is weighed as wool, finished mm³. */
  readonly feltMm3: number;
  /** Wool beyond the body, as a share of it: the dry fan at a stem's root. */
  readonly extraShare: number;
  /** What is weighed apart, with its share of the wool, and into how many equal ones it is parted. */
  readonly heaps: ReadonlyArray<{ readonly name: string; readonly share: number; readonly count: number }>;
  /** What lies in its middle by its own weight, g: raw fleece, yarn. It is weighed as it is. */
  readonly apart?: ReadonlyArray<{ readonly name: string; readonly grams: number }>;
}

/** What is made first of all, and what the dashed line therefore is. */
export type OutlineIs = 'resist' | 'layout' | 'ball' | 'rolled' | 'cloth';

/** All that a form says about one piece. Every later step reads this, and knows no form by name. */
export interface FormPlan {
  readonly outlineIs: OutlineIs;
  /** The outline when finished, as it lies flat beside the laid one. */
  readonly finished: Polygon;
  readonly laid: MarkedOutline;
  readonly faces: readonly Face[];
  readonly gauges: readonly Gauge[];
  /** What must fit, measured once it is open. */
  readonly fits: readonly Gauge[];
  /** Which of the gauges are gone once it is open. */
  readonly closedLines: readonly string[];
  /** True where no size is to be reached: then what is wanted is only what is expected. */
  readonly asItComes: boolean;
  readonly handles: readonly Handle[];
  readonly cuts: readonly NamedLine[];
  readonly folds: readonly NamedLine[];
  /** What is cut out of the resist before anything is laid: the cells of a grid. */
  readonly openings: readonly NamedLine[];
  /** What keeps it from being laid at these measures; null where nothing does. */
  readonly trouble: IssueCode | null;
  /** Area of the finished felt, mm², both faces. */
  readonly finishedMm2: number;
  readonly edgeSurplus: EdgeSurplus | null;
  readonly facts: readonly Fact[];
  /** What to mind, in short sentences. */
  readonly hints: readonly string[];
  /** The finished form, where it is a surface of revolution. */
  readonly turned: Turned | null;
  /** Null for a sheet or a shell. */
  readonly solid: Solid | null;
  /** Pieces that come out of one laying. */
  readonly yields: number;
  /** Which way the along axis points on the table. */
  readonly alongOnTable: 'right' | 'up' | 'down';
}

/** What a form says when it has nothing particular to say. */
export const PLAIN = {
  trouble: null,
  fits: [],
  closedLines: [],
  asItComes: false,
  cuts: [],
  folds: [],
  openings: [],
  edgeSurplus: null,
  facts: [],
  hints: [],
  turned: null,
  solid: null,
  yields: 1,
} as const satisfies Partial<FormPlan>;

/** What is done to the finished form to lay it. */
export interface LayingTransform {
  /** laid/finished along and across, ≥ 1. */
  readonly factor: { readonly along: number; readonly across: number };
  readonly foldOverMm: Mm;
  readonly resistMm: Mm;
  /** How finely outlines are offset, mm; as exact as ever when left out. Coarser while something is dragged. */
  readonly finenessMm?: number;
}

/** What a form is made for: the heading it is offered under. */
export type Purpose = 'wear' | 'hold' | 'home' | 'flower' | 'solid' | 'own';

/** A form as it is offered: a title, a purpose in plain words, and where it begins. */
export interface Offer {
  readonly title: string;
  readonly purpose: string;
  /** Measures other than the form's own defaults. */
  readonly measures?: Measures;
  /** The way it is worked; the form's own usual one when left out. */
  readonly way?: WayId;
  /** g/cm³; the form's own usual one when left out. */
  readonly firmness?: number;
  /** The heading it is offered under; the form's own when left out. */
  readonly group?: Purpose;
  /** How many alike are made; the form's own when left out. */
  readonly pieces?: number;
  /** The outline that a form which is drawn begins with; the form's own when left out. */
  readonly outline?: DrawnOutline;
}

/** One kind of form. A newcomer adds one file like this and a line in the registry. */
export interface FormKind extends Offer {
  readonly kind: string;
  readonly group: Purpose;
  /** Ways it is worked in, the usual one first; by what is made first of all when left out. */
  readonly ways?: readonly WayId[];
  /** Other things it is offered as, beside its own title. */
  readonly also?: readonly Offer[];
  readonly faces: number;
  readonly body: 'sheet' | 'solid';
  /** The measure that stands for the size of the piece; it runs along. */
  readonly size: {
    readonly name: string;
    /** Finished mm. `factor` is laid/finished along, for a form whose measures are as laid. */
    readonly of: (measures: Measures, factor: number) => number;
    /** True where the measures are as laid; finished ones when left out. */
    readonly asLaid?: (measures: Measures) => boolean;
  };
  /** What the laid size is called, where “laid” says too little. */
  readonly laidName?: string;
  readonly defaults: Measures;
  /** What a felter would expect of it, common practice. */
  readonly usual: {
    readonly thicknessMm: number;
    readonly firmness: number;
    readonly layers: number;
    readonly shrinkage?: number;
    readonly foldOverMm?: number;
  };
  readonly specs: (measures: Measures) => readonly MeasureSpec[];
  /** For a form with a list of places: the measures with one place more, and with one fewer (null at the fewest). */
  readonly places?: {
    readonly more: (measures: Measures) => Measures | null;
    readonly fewer: (measures: Measures) => Measures | null;
  };
  /** For a form whose measures hang together: all of them after one was set. */
  readonly settle?: (measures: Measures, changed: string) => Measures;
  /** What must fit once it is open; the gauges alone when left out. */
  readonly fits?: (measures: Measures) => readonly FitSpec[];
  /** Which gauges can only be measured while it is closed. */
  readonly closedLines?: readonly string[];
  /** Rules between measures, in words; null when they hold. */
  readonly objection: (measures: Measures) => string | null;
  readonly plan: (measures: Measures, laying: LayingTransform, outline: DrawnOutline | null) => FormPlan;
}

/** A measure by name; NaN when it is missing, so that a slip shows. */
export const measure = (measures: Measures, id: string): number => measures[id] ?? Number.NaN;

/** Shorthand for the spec of a length that grows with the piece. */
export const lengthSpec = (
  id: string,
  label: string,
  rest: Omit<MeasureSpec, 'id' | 'label' | 'scales'> & { readonly scales?: boolean },
): MeasureSpec => ({ scales: true, ...rest, id, label });

/** What an outside measure is larger by, in wall thicknesses: round the piece, across it, from its closed end. */
export const OUTSIDE = { girth: 2 * Math.PI, across: 2, fromEnd: 1 } as const;

/** More room than this is no allowance any more, mm. */
const MOST_ALLOWED_MM = 200;

/** Shorthand for the spec of an allowance: common practice, and it does not grow with the piece. */
export const allowanceSpec = (
  id: string,
  label: string,
  of: { readonly hint: string; readonly max?: number },
): MeasureSpec => ({
  id,
  label,
  hint: `${of.hint} (common practice)`,
  min: 0,
  max: of.max ?? MOST_ALLOWED_MM,
  scales: false,
  allowance: true,
});
