import { foldOver, type MarkedOutline } from '../outline/foldOver';
import { areaOfParts, boundsOf, type Point, polygonArea } from '../outline/polygon';
import { type FormPlan, type Handle, type LayingTransform, type NamedLine, PLAIN } from './formKind';
import { gaugesOverAll, overAll, type OverAll } from './gaugeLine';

/** One side of a flat envelope: its name and its outline, finished mm. */
export interface EnvelopeFace {
  readonly name: string;
  readonly outline: MarkedOutline;
}

/** A piece that lies flat when finished, made of two faces over a resist. */
export interface EnvelopeShape {
  /** The first face is the whole outline of the piece; the second may be smaller. */
  readonly faces: readonly [EnvelopeFace, EnvelopeFace];
  /** The outline of the first face without edges that are folded in, where it has any; nothing is measured on those. */
  readonly withoutFolds?: readonly Point[];
  /** Length and width, where the outline is only near them: a round one is drawn with sides. */
  readonly overAll?: OverAll;
  readonly handles: readonly Handle[];
  readonly alongOnTable: FormPlan['alongOnTable'];
  readonly cuts?: readonly NamedLine[];
  readonly folds?: readonly NamedLine[];
  readonly openings?: readonly NamedLine[];
  readonly gaugeNames?: readonly [string, string];
  readonly more?: Partial<Pick<FormPlan, 'facts' | 'hints' | 'trouble' | 'yields' | 'edgeSurplus'>>;
}

/** Two faces of one outline. */
export const bothFaces = (outline: MarkedOutline): readonly [EnvelopeFace, EnvelopeFace] => [
  { name: 'side 1', outline },
  { name: 'side 2', outline },
];

/**
 * Envelope, flat when finished: its outline scaled per axis on a resist, wool folded over closed edges only.
 * The resist's own thickness comes off the width at the widest place.
 * Source: definition of linear shrinkage.
 */
export const planEnvelope = (shape: EnvelopeShape, laying: LayingTransform): FormPlan => {
  const { factor } = laying;
  const [whole] = shape.faces;
  const finished = shape.withoutFolds ?? whole.outline.points;
  const box = boundsOf(finished);
  const wide = (box.maxY - box.minY) * factor.across;
  const acrossOnResist = factor.across * (Math.max(0, wide - laying.resistMm) / wide);
  const lay = (p: Point): Point => ({ x: p.x * factor.along, y: p.y * acrossOnResist });
  const lines = (given: readonly NamedLine[] = []): NamedLine[] =>
    given.map(l => ({ ...l, line: l.line.map(lay) }));
  const layFace = ({ name, outline: given }: EnvelopeFace) => {
    const outline = { points: given.points.map(lay), open: given.open };
    const wool = foldOver(outline, laying.foldOverMm, laying.finenessMm);
    const woolMm2 = areaOfParts(wool);
    return { name, outline, wool, netMm2: polygonArea(outline.points), woolMm2 };
  };
  const [one, other] = shape.faces;
  const first = layFace(one);
  // An offset is dear: two faces of one outline share it.
  const second = one.outline === other.outline ? { ...first, name: other.name } : layFace(other);
  const faces = [first, second];
  return {
    ...PLAIN,
    outlineIs: 'resist',
    finished,
    laid: first.outline,
    faces,
    gauges: gaugesOverAll(
      shape.overAll ?? overAll(box),
      {
        minX: box.minX * factor.along,
        minY: box.minY * factor.across,
        maxX: box.maxX * factor.along,
        maxY: box.maxY * factor.across,
      },
      { laying, names: shape.gaugeNames ?? ['length', 'width'] },
    ),
    handles: shape.handles,
    cuts: lines(shape.cuts),
    folds: lines(shape.folds),
    openings: lines(shape.openings),
    finishedMm2: polygonArea(finished) + polygonArea(other.outline.points),
    alongOnTable: shape.alongOnTable,
    ...shape.more,
  };
};

/** A closed outline with the edges open whose middle a test picks. */
export const openWhere = (points: readonly Point[], isOpen: (middle: Point) => boolean): MarkedOutline => ({
  points,
  open: points.map((p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    return isOpen({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });
  }),
});
