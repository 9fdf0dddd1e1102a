import { foldOver, type MarkedOutline } from '../outline/foldOver';
import { areaOfParts, type Point, polygonArea } from '../outline/polygon';
import { mm } from '../quantity';
import { surplusAlong } from './edgeSurplus';
import {
  type FormPlan,
  type Gauge,
  type Handle,
  type LayingTransform,
  type NamedLine,
  PLAIN,
} from './formKind';
import { gaugeLine } from './gaugeLine';
import { profileOf } from './profile';
import type { Station } from './station';

/** A form made of girths along an axis. */
export interface GirthShape {
  readonly stations: readonly Station[];
  /** Which ends stay open; the last one, the mouth, when left out. */
  readonly open?: { readonly start: boolean; readonly end: boolean };
  readonly handles: readonly Handle[];
  readonly alongOnTable: FormPlan['alongOnTable'];
  /** True where it is round about its axis, and can be shown turned. */
  readonly isRound?: boolean;
  /** Laid beyond the last end and folded in there, mm as laid; nothing is measured on it. */
  readonly hemMm?: number;
  /** Lines to cut, given in finished mm along and across the flat form. */
  readonly cuts?: readonly NamedLine[];
  readonly more?: Partial<Pick<FormPlan, 'facts' | 'hints'>>;
}

const MOUTH = { start: false, end: true };

const span = (stations: readonly Station[]): number => {
  const first = stations[0]?.along ?? 0;
  return (stations.at(-1)?.along ?? 0) - first;
};

/** Where the middle of the drawing lies along the piece. */
const middleOf = (stations: readonly Station[]): number => (stations[0]?.along ?? 0) + span(stations) / 2;

/** The upper edge of the flat form: half of half the girth at each station, the resist's own thickness taken off. */
const upperEdge = (stations: readonly Station[], laying: LayingTransform): Point[] => {
  const middle = middleOf(stations);
  return stations.map(s => ({
    x: (s.along - middle) * laying.factor.along,
    y: Math.max(0, (s.girth / 2) * laying.factor.across - laying.resistMm) / 2,
  }));
};

/** The flat outline on a resist, its open ends marked. */
const flatOutline = (edge: readonly Point[], open: { start: boolean; end: boolean }): MarkedOutline => {
  const lower = edge.map(p => ({ x: p.x, y: -p.y }));
  const isPoint = (p: Point | undefined): boolean => (p?.y ?? 0) === 0;
  const upper = edge.toReversed().slice(isPoint(edge.at(-1)) ? 1 : 0, isPoint(edge[0]) ? -1 : undefined);
  const points = [...lower, ...upper];
  return {
    points,
    open: points.map(
      (_, i) =>
        (open.end && !isPoint(edge.at(-1)) && i === lower.length - 1) ||
        (open.start && !isPoint(edge[0]) && i === points.length - 1),
    ),
  };
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

/** A mouth narrower than this share of the widest place has a measuring line of its own. */
const NARROW = 0.98;

const gauges = (stations: readonly Station[], laying: LayingTransform, openEnd: boolean): Gauge[] => {
  const middle = middleOf(stations);
  const half = (span(stations) * laying.factor.along) / 2;
  const width = (id: string, name: string, s: Station): Gauge => {
    const x = (s.along - middle) * laying.factor.along;
    const y = (s.girth / 4) * laying.factor.across;
    return gaugeLine({ id, name, axis: 'across', wanted: s.girth / 2 }, laying, [
      { x, y: -y },
      { x, y },
    ]);
  };
  const wide = widest(stations);
  const mouth = stations.at(-1);
  return [
    gaugeLine({ id: 'A', name: 'length', axis: 'along', wanted: span(stations) }, laying, [
      { x: -half, y: 0 },
      { x: half, y: 0 },
    ]),
    width('B', 'width at the widest', wide),
    ...(openEnd && mouth && mouth.girth < wide.girth * NARROW
      ? [width('C', 'width at the mouth', mouth)]
      : []),
  ];
};

/** An edge with a hem laid straight on beyond its end. */
const withHem = (edge: readonly Point[], hemMm: number): readonly Point[] => {
  const end = edge.at(-1);
  return end && hemMm > 0 ? [...edge, { x: end.x + hemMm, y: end.y }] : edge;
};

/** Where a hem is folded in: across the flat form at its last station. */
const hemFold = (edge: readonly Point[]): NamedLine[] => {
  const { x, y } = edge.at(-1) ?? { x: 0, y: 0 };
  return [
    {
      name: 'fold line of the hem',
      line: [
        { x, y: -y },
        { x, y },
      ],
    },
  ];
};

const NOT_LAID: LayingTransform = { factor: { along: 1, across: 1 }, foldOverMm: mm(0), resistMm: mm(0) };

/**
 * Envelope by girths: two faces make the girth, so the flat width is girth/2 × fx and stations lie × fy along.
 * A round form of profile r(z) is the case girth = 2πr with stations measured along the wall (Pappus).
 */
export const planByGirths = (shape: GirthShape, laying: LayingTransform): FormPlan => {
  const { stations } = shape;
  const open = shape.open ?? MOUTH;
  const [edge, laidEdge] = [upperEdge(stations, NOT_LAID), upperEdge(stations, laying)];
  const finished = flatOutline(edge, open).points;
  const hem = shape.hemMm ?? 0;
  const laid = flatOutline(withHem(laidEdge, hem), open);
  const wool = foldOver(laid, laying.foldOverMm, laying.finenessMm);
  const woolMm2 = areaOfParts(wool);
  const netMm2 = polygonArea(laid.points);
  const face = (name: string) => ({ name, outline: laid, wool, netMm2, woolMm2 });
  const middle = middleOf(stations);
  return {
    ...PLAIN,
    outlineIs: 'resist',
    finished,
    laid,
    faces: [face('side 1'), face('side 2')],
    gauges: gauges(stations, laying, open.end),
    handles: shape.handles,
    folds: hem > 0 ? hemFold(laidEdge) : [],
    cuts: (shape.cuts ?? []).map(c => ({
      ...c,
      line: c.line.map(p => ({
        x: (p.x - middle) * laying.factor.along,
        y: p.y * laying.factor.across,
      })),
    })),
    finishedMm2: 2 * polygonArea(finished),
    edgeSurplus: surplusAlong(edge, laidEdge),
    turned: shape.isRound
      ? { profile: profileOf(stations), mouth: shape.alongOnTable === 'down' ? 'down' : 'up' }
      : null,
    alongOnTable: shape.alongOnTable,
    ...shape.more,
  };
};

/** Handle at a station that changes a girth, or a measure that a girth is `perGirth` times of. */
export const girthHandle = (
  id: string,
  shape: readonly Station[],
  { at: index, perGirth = 1 }: { readonly at: number; readonly perGirth?: number },
): Handle => {
  const s = shape[index] ?? { along: 0, girth: 0 };
  // The drawn half width is a quarter of the girth.
  return {
    measure: id,
    at: { x: s.along - middleOf(shape), y: s.girth / 4 },
    towards: { x: 0, y: 1 },
    rate: 4 / perGirth,
  };
};

/**
 * Handle on the axis that changes a length. The drawing is centred, so where the piece grows by the change, half of a
 * drag is taken up at each end; a place that moves alone follows the finger.
 */
export const alongHandle = (
  id: string,
  shape: readonly Station[],
  { at: index, movesAlone = false }: { readonly at: number; readonly movesAlone?: boolean },
): Handle => {
  const s = shape[index] ?? { along: 0, girth: 0 };
  return {
    measure: id,
    at: { x: s.along - middleOf(shape), y: 0 },
    towards: { x: 1, y: 0 },
    rate: movesAlone ? 1 : 2,
  };
};
