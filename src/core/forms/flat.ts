import { boundsOf, polygonArea, type Polygon, scalePoints } from '../outline/polygon';
import { type FormPlan, type Handle, type LayingTransform, PLAIN } from './formKind';
import { gaugesOverAll, overAll, type OverAll } from './gaugeLine';

/** A flat outline when finished, centred on the origin, and what hangs on it. */
export interface FlatShape {
  readonly finished: Polygon;
  /** Length and width, where the outline is only near them: a round one is drawn with sides. */
  readonly overAll?: OverAll;
  readonly handles: readonly Handle[];
  /** Adds the strip that will be folded in or trimmed off, laid mm on every side. */
  readonly withStrip?: (outline: Polygon, strip: number) => Polygon;
  readonly strip?: number;
  readonly gaugeNames?: readonly [string, string];
  readonly outlineIs?: FormPlan['outlineIs'];
  readonly alongOnTable?: FormPlan['alongOnTable'];
  /** Share of the outline that carries wool; all of it when left out. */
  readonly woolShare?: number;
  readonly more?: Partial<Pick<FormPlan, 'cuts' | 'facts' | 'hints'>>;
}

/**
 * Flat piece: laid = finished scaled per axis, and its folded-in strip added on every side.
 * Source: definition of linear shrinkage; a strip adds its width twice to each measure.
 */
export const planFlat = (shape: FlatShape, laying: LayingTransform): FormPlan => {
  const { factor } = laying;
  const scaled = scalePoints(shape.finished, { x: factor.along, y: factor.across });
  const strip = shape.strip ?? 0;
  const points = strip > 0 && shape.withStrip ? shape.withStrip(scaled, strip) : scaled;
  const open = points.map(() => false);
  const area = polygonArea(points);
  const woolMm2 = area * (shape.woolShare ?? 1);
  return {
    ...PLAIN,
    outlineIs: shape.outlineIs ?? 'layout',
    finished: shape.finished,
    laid: { points, open },
    faces: [{ name: 'sheet', outline: { points, open }, wool: [points], netMm2: woolMm2, woolMm2 }],
    gauges: gaugesOverAll(shape.overAll ?? overAll(boundsOf(shape.finished)), boundsOf(scaled), {
      laying,
      names: shape.gaugeNames ?? ['lengthwise', 'crosswise'],
    }),
    handles: shape.handles,
    finishedMm2: polygonArea(shape.finished),
    alongOnTable: shape.alongOnTable ?? 'right',
    ...shape.more,
  };
};
