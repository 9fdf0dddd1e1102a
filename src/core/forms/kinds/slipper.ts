import { allowanceSpec, type FormKind, measure, type Measures } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import type { Station } from '../station';
import { smoothProfile } from '../profile';
import { FOOT_SPECS } from '../footSpecs';

/** Girth of a slipper along the foot from the toe, as shares of its length and of the ball’s girth; common practice. */
const SHAPE: ReadonlyArray<readonly [number, number]> = [
  [0, 0.86],
  [0.29, 1],
  [0.55, 0.99],
  [1, 0.86],
];
/** Toe and heel are rounded off over these shares of the length. */
const ROUNDED = { toe: 0.17, heel: 0.14 };
const BALL_AT = 0.29;
const STEPS = 60;

/** Where the opening is cut, from the toe, as shares of the length; common practice. */
const OPENING = { from: 0.45, to: 0.86 };

const lengthOf = (m: Measures): number => measure(m, 'foot') + measure(m, 'toe') + measure(m, 'rise');
const girthOf = (m: Measures): number => measure(m, 'ball') + measure(m, 'ease');

/** Share of the girth that the rounded ends leave, a quarter of an ellipse at each. */
const rounding = (t: number): number => {
  const end = t < ROUNDED.toe ? 1 - t / ROUNDED.toe : t > 1 - ROUNDED.heel ? (t - 1) / ROUNDED.heel + 1 : 0;
  return Math.sqrt(Math.max(0, 1 - end * end));
};

/** Places along the foot: close together at the rounded ends, and one at the ball. */
const PLACES = [
  ...Array.from({ length: STEPS + 1 }, (_, i) => (1 - Math.cos((Math.PI * i) / STEPS)) / 2),
  BALL_AT,
].toSorted((a, b) => a - b);

const stations = (m: Measures): Station[] => {
  const curve = smoothProfile(SHAPE.map(([z, r]) => ({ z, r, round: true })));
  const shareAt = (t: number): number => {
    const next = curve.findIndex(p => p.z >= t);
    const [a, b] = [curve[Math.max(0, next - 1)], curve[Math.max(0, next)]];
    if (!a || !b || b.z === a.z) return b?.r ?? 0;
    return a.r + ((b.r - a.r) * (t - a.z)) / (b.z - a.z);
  };
  return PLACES.map((t, i) => ({
    along: t * lengthOf(m),
    girth: i === 0 || i === PLACES.length - 1 ? 0 : girthOf(m) * shareAt(t) * rounding(t),
  }));
};

/** Slipper: closed all round over a resist seen from above, and cut open at the instep when it is prefelt. */
export const slipper: FormKind = {
  kind: 'slipper',
  title: 'Slipper',
  purpose: 'a pair of slippers, by shoe size or by length and girth of the foot',
  group: 'wear',
  pieces: 2,
  faces: 2,
  body: 'sheet',
  size: { name: 'length lying flat', of: lengthOf },
  defaults: { foot: 245, ball: 240, toe: 8, rise: 30, ease: 15 },
  usual: { thicknessMm: 5, firmness: 0.24, layers: 5, shrinkage: 0.4 },
  specs: () => [
    ...FOOT_SPECS,
    allowanceSpec('toe', 'Room at the toe', { hint: 'so that the toes do not touch', max: 40 }),
    allowanceSpec('rise', 'Toe and heel rise', {
      hint: 'the way up over the toe and heel, half of each',
      max: 100,
    }),
    allowanceSpec('ease', 'Ease of girth', { hint: 'for a sock', max: 80 }),
  ],
  fits: m => [
    {
      id: 'L',
      name: 'inside, from heel to toe',
      wanted: measure(m, 'foot') + measure(m, 'toe'),
      axis: 'along',
      how: 'felt',
    },
  ],
  closedLines: ['A'],
  objection: () => null,
  plan: (m, laying) => {
    const s = stations(m);
    const length = lengthOf(m);
    const ballAt = PLACES.indexOf(BALL_AT);
    return planByGirths(
      {
        stations: s,
        open: { start: false, end: false },
        alongOnTable: 'down',
        cuts: [
          {
            name: 'opening, upper side only',
            line: [
              { x: OPENING.from * length, y: 0 },
              { x: OPENING.to * length, y: 0 },
            ],
          },
        ],
        handles: [alongHandle('foot', s, { at: s.length - 1 }), girthHandle('ball', s, { at: ballAt })],
        more: {
          hints: [
            'Weigh both of the pair the same, measure both each round, and work the larger one on its own.',
            'Lay one extra layer on the sole side, where it is walked on.',
          ],
        },
      },
      laying,
    );
  },
};
