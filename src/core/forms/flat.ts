import { polygonArea, type Point, type Polygon, scalePoints } from '../outline/polygon';
import { finishedMm, laidMm } from '../quantity';
import type { FormPlan, Gauge, Handle, Laying } from './formKind';

/** A flat outline when finished, centred on the origin, and what hangs on it. */
export interface FlatShape {
  readonly finished: Polygon;
  readonly length: number;
  readonly width: number;
  readonly handles: readonly Handle[];
  /** Adds the strip that will be folded in, laid mm on every side. */
  readonly withStrip: (outline: Polygon, strip: number) => Polygon;
  readonly strip: number;
}

const gauge = (
  id: string,
  line: { name: string; deg: number; laid: number; wanted: number; end: Point },
): Gauge => ({
  id,
  name: line.name,
  directionDeg: line.deg,
  laidMm: laidMm(line.laid),
  wantedMm: finishedMm(line.wanted),
  from: { x: -line.end.x, y: -line.end.y },
  to: line.end,
});

/**
 * Flat piece: laid = finished scaled per axis, and its folded-in strip added on every side.
 * Source: definition of linear shrinkage; a strip adds its width twice to each measure.
 */
export const planFlat = (shape: FlatShape, { factor }: Laying): FormPlan => {
  const scaled = scalePoints(shape.finished, { x: factor.along, y: factor.across });
  const points = shape.strip > 0 ? shape.withStrip(scaled, shape.strip) : scaled;
  const open = points.map(() => false);
  const length = shape.length * factor.along;
  const width = shape.width * factor.across;
  const area = polygonArea(points);
  return {
    outlineIs: 'layout',
    finished: shape.finished,
    laid: { points, open },
    faces: [{ name: 'sheet', outline: { points, open }, wool: [points], netMm2: area, woolMm2: area }],
    gauges: [
      gauge('A', { name: 'along', deg: 0, laid: length, wanted: shape.length, end: { x: length / 2, y: 0 } }),
      gauge('B', { name: 'across', deg: 90, laid: width, wanted: shape.width, end: { x: 0, y: width / 2 } }),
    ],
    handles: shape.handles,
    cuts: [],
    finishedMm2: polygonArea(shape.finished),
    edgeSurplus: null,
    alongOnTable: 'right',
  };
};
