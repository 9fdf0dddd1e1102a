import { curvedOutline } from '../outline/curve';
import type { DrawnOutline } from '../outline/drawn';
import { foldOver, type MarkedOutline } from '../outline/foldOver';
import type { IssueCode } from '../issues';
import { simplify } from '../outline/simplify';
import { boundsOf, type Point, type Polygon, polygonArea } from '../outline/polygon';
import { SAME_POINT_MM } from '../tolerances';
import { allowanceSpec, type FormKind, type Handle, lengthSpec, measure, type Measures } from './formKind';

/** The measures of a drawn form: its outline is stretched to them, then grown by the ease. */
export const DRAWN_SPECS = [
  lengthSpec('length', 'Length', { hint: 'of the outline, lengthwise, without ease', min: 10, max: 5000 }),
  lengthSpec('width', 'Width', { hint: 'of the outline, crosswise, without ease', min: 10, max: 5000 }),
  allowanceSpec('ease', 'Ease', { hint: 'all around an outline traced close to a hand or foot', max: 80 }),
];

export const drawnSize: FormKind['size'] = {
  name: 'length of the outline',
  of: m => measure(m, 'length'),
};

const at = (x: number, y: number, round = true) => ({ x, y, round });

/** A leaf, to begin a flat outline with. */
export const LEAF: DrawnOutline = {
  points: [at(-150, 0, false), at(-60, 70), at(40, 85), at(150, 0, false)],
  open: [],
  mirrored: true,
};

/** A hand with its thumb aside, to begin a hollow outline with; open at the wrist. */
export const GLOVE: DrawnOutline = {
  points: [
    at(-130, -42, false),
    at(-60, -48),
    at(40, -52),
    at(110, -32),
    at(130, 0),
    at(112, 30),
    at(40, 44),
    at(12, 52, false),
    at(34, 86),
    at(20, 108),
    at(-10, 96),
    at(-66, 50),
    at(-130, 42, false),
  ],
  open: [12],
  mirrored: false,
};

/** The sole of a right foot, to begin a slipper's outline with; closed all round. */
export const FOOT: DrawnOutline = {
  points: [
    at(-130, 0),
    at(-108, -31),
    at(-50, -30),
    at(20, -33),
    at(75, -50),
    at(112, -42),
    at(130, -18),
    at(126, 8),
    at(100, 34),
    at(60, 48),
    at(0, 42),
    at(-60, 34),
    at(-108, 31),
  ],
  open: [],
  mirrored: false,
};

/** How near a grown edge lies to the line of a mouth to be a part of it, mm. */
const ON_MOUTH_MM = 0.02;

/** A hole smaller than this is none: what is left where two lines run into one another, mm². */
const SMALLEST_HOLE_MM2 = 1;

/** The outline grown by the ease past its closed edges; its mouths stay where they are, and become wider. */
const grown = (
  outline: MarkedOutline,
  ease: number,
  finenessMm?: number,
): MarkedOutline & { readonly shutsHole: boolean } => {
  const n = outline.points.length;
  const mouths: Array<readonly [Point, Point]> = [];
  outline.points.forEach((a, i) => {
    const b = outline.points[(i + 1) % n];
    if (outline.open[i] && b) mouths.push([a, b]);
  });
  const isOn = (p: Point, [a, b]: readonly [Point, Point]): boolean => {
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    const off = Math.abs((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) / length;
    const along = ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / length;
    // An edge that leads away slantwise reaches the mouth's line further out than the ease itself.
    const reach = 2 * ease;
    return off < ON_MOUTH_MM && along > -reach && along < length + reach;
  };
  const [eased = outline.points, ...holes] = foldOver(outline, ease, finenessMm);
  const points = simplify(eased);
  return {
    points,
    shutsHole: holes.some(hole => polygonArea(hole) > SMALLEST_HOLE_MM2),
    open: points.map((p, i) => {
      const q = points[(i + 1) % points.length] ?? p;
      return mouths.some(mouth => isOn(p, mouth) && isOn(q, mouth));
    }),
  };
};

const middleOf = (points: Polygon): Point => {
  const b = boundsOf(points);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
};

/** A drawn outline as its points lie on the finished piece, and the finished outline itself. */
export interface DrawnForm {
  /** Its points stretched to length and width, in the finished piece's own frame. */
  readonly drawn: DrawnOutline;
  /** Grown by the ease, its middle at 0,0. */
  readonly finished: MarkedOutline;
  /** The ease makes it meet itself, so that it would be a ring. */
  readonly trouble: Extract<IssueCode, 'EASE_SHUTS'> | null;
  readonly handles: readonly Handle[];
}

/** Where the points of a drawn outline lay when it was last planned: an offset is dear, and dragging asks again. */
const placed = new WeakMap<DrawnOutline, { readonly key: string; readonly drawn: DrawnOutline }>();
const keyOf = (m: Measures): string => ['length', 'width', 'ease'].map(id => measure(m, id)).join('/');

/** A drawn outline as its points lie on the finished piece. */
export const drawnOnPiece = (m: Measures, given: DrawnOutline): DrawnOutline => {
  const known = placed.get(given);
  return known?.key === keyOf(m) ? known.drawn : drawnFinished(m, given).drawn;
};

/** The finished outline of a drawn form: stretched to its length and width, grown by its ease, its middle at 0,0. */
export const drawnFinished = (m: Measures, given: DrawnOutline, finenessMm?: number): DrawnForm => {
  const [length, width, ease] = [measure(m, 'length'), measure(m, 'width'), measure(m, 'ease')];
  const curved = curvedOutline(given);
  const box = boundsOf(curved.points);
  // A mirrored outline keeps its axis where it is: its middle lies on it.
  const own = middleOf(curved.points);
  const by = { x: length / (box.maxX - box.minX), y: width / (box.maxY - box.minY) };
  const stretch = (p: Point): Point => ({ x: (p.x - own.x) * by.x, y: (p.y - own.y) * by.y });
  const fit = { points: curved.points.map(stretch), open: curved.open };
  const eased = ease > SAME_POINT_MM ? grown(fit, ease, finenessMm) : { ...fit, shutsHole: false };
  const middle = middleOf(eased.points);
  const shift = (p: Point): Point => ({ x: p.x - middle.x, y: p.y - middle.y });
  const points = eased.points.map(shift);
  const whole = boundsOf(points);
  const drawn = {
    ...given,
    points: given.points.map(p => {
      const { x, y } = shift(stretch(p));
      return { ...p, x, y };
    }),
  };
  placed.set(given, { key: keyOf(m), drawn });
  return {
    drawn,
    finished: { points, open: eased.open },
    trouble: eased.shutsHole ? 'EASE_SHUTS' : null,
    handles: [
      { measure: 'length', at: { x: whole.maxX, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
      { measure: 'width', at: { x: 0, y: whole.maxY }, towards: { x: 0, y: 1 }, rate: 2 },
    ],
  };
};
