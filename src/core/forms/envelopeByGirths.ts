import { foldOver, type MarkedOutline } from '../outline/foldOver';
import { pathLength, polygonArea, type Point } from '../outline/polygon';
import { finishedMm, laidMm, mm } from '../quantity';
import type { EdgeSurplus, FormPlan, Gauge, Handle, Laying } from './formKind';

/** A place along the piece and the girth there, finished mm, inside. Along is measured on the wall. */
export interface Station {
  readonly along: number;
  readonly girth: number;
}

/** A form made of girths along an axis, the mouth at the last station. */
export interface GirthShape {
  readonly stations: readonly Station[];
  readonly handles: readonly Handle[];
  readonly alongOnTable: FormPlan['alongOnTable'];
}

const span = (stations: readonly Station[]): number => {
  const first = stations[0]?.along ?? 0;
  return (stations.at(-1)?.along ?? 0) - first;
};

/** The flat outline on a resist: half the girth wide at each station, the resist's own thickness taken off. */
const flatOutline = (stations: readonly Station[], laying: Laying): MarkedOutline => {
  const middle = (stations[0]?.along ?? 0) + span(stations) / 2;
  const half = (s: Station): number =>
    Math.max(0, (s.girth / 2) * laying.factor.across - laying.resistMm) / 2;
  const edge = stations.map(s => ({ x: (s.along - middle) * laying.factor.along, y: half(s) }));
  const lower = edge.map(p => ({ x: p.x, y: -p.y }));
  const startsClosedToPoint = (edge[0]?.y ?? 0) === 0;
  const upper = edge.toReversed();
  const points = [...lower, ...(startsClosedToPoint ? upper.slice(0, -1) : upper)];
  return { points, open: points.map((_, i) => i === lower.length - 1) };
};

/** Length of the folded edge against the line down the middle, on the finished flat form. */
const surplus = (stations: readonly Station[]): EdgeSurplus => {
  const edge: Point[] = stations.map(s => ({ x: s.along, y: s.girth / 4 }));
  const edgeMm = pathLength(edge);
  const middleMm = span(stations);
  return { edgeMm, middleMm, ratio: edgeMm / middleMm };
};

/** The widest place; the middle of it where a stretch of wall is equally wide, away from corners that felt round. */
const widest = (stations: readonly Station[]): Station => {
  const girth = Math.max(...stations.map(s => s.girth));
  const from = stations.findIndex(s => s.girth === girth);
  const run = stations.slice(from);
  const ends = run.findIndex(s => s.girth !== girth);
  const [first, last] = [run[0], run.at(ends === -1 ? -1 : ends - 1)];
  return { along: ((first?.along ?? 0) + (last?.along ?? 0)) / 2, girth };
};

const gauges = (stations: readonly Station[], laying: Laying): Gauge[] => {
  const { along: fy, across: fx } = laying.factor;
  const start = stations[0]?.along ?? 0;
  const length = span(stations);
  const width = (id: string, name: string, s: Station): Gauge => {
    const x = (s.along - start - length / 2) * fy;
    const y = (s.girth / 4) * fx;
    return {
      id,
      name,
      directionDeg: 90,
      laidMm: laidMm((s.girth / 2) * fx),
      wantedMm: finishedMm(s.girth / 2),
      from: { x, y: -y },
      to: { x, y },
    };
  };
  const wide = widest(stations);
  const mouth = stations.at(-1);
  const ends = { x: (length * fy) / 2, y: 0 };
  return [
    {
      id: 'A',
      name: 'length',
      directionDeg: 0,
      laidMm: laidMm(length * fy),
      wantedMm: finishedMm(length),
      from: { x: -ends.x, y: 0 },
      to: ends,
    },
    width('B', 'width at the widest', wide),
    ...(mouth && mouth.girth < wide.girth * 0.98 ? [width('C', 'width at the mouth', mouth)] : []),
  ];
};

/**
 * Envelope by girths: two faces make the girth, so the flat width is girth/2 × fx and stations lie × fy along.
 * A round form of profile r(z) is the case girth = 2πr with stations measured along the wall (Pappus).
 */
export const planByGirths = (shape: GirthShape, laying: Laying): FormPlan => {
  const none = { factor: { along: 1, across: 1 }, foldOverMm: mm(0), resistMm: mm(0) };
  const finished = flatOutline(shape.stations, none).points;
  const laid = flatOutline(shape.stations, laying);
  const wool = foldOver(laid, laying.foldOverMm);
  const woolMm2 = wool.reduce((sum, part) => sum + polygonArea(part), 0);
  const netMm2 = polygonArea(laid.points);
  const face = (name: string) => ({ name, outline: laid, wool, netMm2, woolMm2 });
  return {
    outlineIs: 'resist',
    finished,
    laid,
    faces: [face('face 1'), face('face 2')],
    gauges: gauges(shape.stations, laying),
    handles: shape.handles,
    cuts: [],
    finishedMm2: 2 * polygonArea(finished),
    edgeSurplus: surplus(shape.stations),
    alongOnTable: shape.alongOnTable,
  };
};

/** Handle at a station that changes a girth. The drawn half width is a quarter of the girth. */
export const girthHandle = (measure: string, shape: readonly Station[], index: number): Handle => {
  const s = shape[index] ?? { along: 0, girth: 0 };
  const middle = (shape[0]?.along ?? 0) + span(shape) / 2;
  return { measure, at: { x: s.along - middle, y: s.girth / 4 }, towards: { x: 0, y: 1 }, rate: 4 };
};

/**
 * Handle on the axis that changes a length. The drawing is centred, so where the piece grows by the change, half of a
 * drag is taken up at each end; a place that moves alone follows the finger.
 */
export const alongHandle = (
  measure: string,
  shape: readonly Station[],
  { at: index, movesAlone = false }: { readonly at: number; readonly movesAlone?: boolean },
): Handle => {
  const s = shape[index] ?? { along: 0, girth: 0 };
  const middle = (shape[0]?.along ?? 0) + span(shape) / 2;
  return { measure, at: { x: s.along - middle, y: 0 }, towards: { x: 1, y: 0 }, rate: movesAlone ? 1 : 2 };
};
