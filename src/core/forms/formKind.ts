import type { FinishedMm, LaidMm, Mm } from '../quantity';
import type { MarkedOutline } from '../outline/foldOver';
import type { Point, Polygon } from '../outline/polygon';

/** The measures of a piece by id, finished mm, inside. */
export type Measures = Readonly<Record<string, number>>;

/** One measure of a form: what it is called and what it may be. */
export interface MeasureSpec {
  readonly id: string;
  readonly label: string;
  readonly hint: string;
  readonly min: number;
  readonly max: number;
  /** False for a measure that does not grow with the piece. */
  readonly scales: boolean;
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
}

/** All that a form says about one piece. Every later step reads this, and knows no form by name. */
export interface FormPlan {
  /** What is on the table first: a resist to cut, or the outline to lay to. */
  readonly outlineIs: 'resist' | 'layout';
  readonly finished: Polygon;
  readonly laid: MarkedOutline;
  readonly faces: readonly Face[];
  readonly gauges: readonly Gauge[];
  readonly handles: readonly Handle[];
  readonly cuts: ReadonlyArray<{ readonly name: string; readonly line: readonly Point[] }>;
  /** Area of the finished felt, mm², both faces. */
  readonly finishedMm2: number;
  readonly edgeSurplus: EdgeSurplus | null;
  /** Which way the along axis points on the table. */
  readonly alongOnTable: 'right' | 'up' | 'down';
}

/** What is done to the finished form to lay it. */
export interface Laying {
  /** laid/finished along and across, ≥ 1. */
  readonly factor: { readonly along: number; readonly across: number };
  readonly foldOverMm: Mm;
  readonly resistMm: Mm;
}

/** One kind of form. A newcomer adds one file like this and a line in the registry. */
export interface FormKind {
  readonly kind: string;
  readonly title: string;
  readonly purpose: string;
  readonly faces: number;
  /** Measure that stands for the size of the piece; it runs along. */
  readonly reference: (measures: Measures) => string;
  /** What that measure is called where it stands for the whole; its own label when left out. */
  readonly referenceName?: string;
  readonly defaults: Measures;
  /** Thickness and firmness a felter would expect of it, common practice. */
  readonly usual: { readonly thicknessMm: number; readonly firmness: number; readonly layers: number };
  readonly specs: (measures: Measures) => readonly MeasureSpec[];
  /** For a form with a list of places: the measures with one place more, and with one fewer (null at the fewest). */
  readonly places?: {
    readonly more: (measures: Measures) => Measures | null;
    readonly fewer: (measures: Measures) => Measures | null;
  };
  /** Rules between measures, in words; null when they hold. */
  readonly objection: (measures: Measures) => string | null;
  readonly plan: (measures: Measures, laying: Laying) => FormPlan;
}

/** A measure by name; NaN when it is missing, so that a slip shows. */
export const measure = (measures: Measures, id: string): number => measures[id] ?? Number.NaN;
