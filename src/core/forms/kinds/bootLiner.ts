import { curvedOutline } from '../../outline/curve';
import type { DrawnPoint } from '../../outline/drawn';
import { boundsOf } from '../../outline/polygon';
import { allowanceSpec, type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { bothFaces, openWhere, planEnvelope } from '../flatEnvelope';
import { FOOT_SPECS } from '../footSpecs';

/** Flatness of its curves, as a share of the foot, so that twice the piece is twice the outline. */
const FLATNESS = 0.0005;
/** Height of the ankle, as a share of half the ball girth; common practice. */
const ANKLE_UP = 1.18;
/** Sole, toe and ball by their place along the foot and their height as a share of half the ball girth; common practice. */
const FOOT: ReadonlyArray<readonly [number, number]> = [
  [0.22, 0],
  [0.45, 0],
  [0.74, 0],
  [0.94, 0.12],
  [1, 0.42],
  [0.9, 0.8],
  [0.72, 1],
];
/** How far the heel is rounded, as a share of the foot. */
const HEEL = 0.14;
/** Least shaft above the ankle, mm. */
const SHAFT_MM = 20;

const ankleHeight = (m: Measures): number => ((measure(m, 'ball') + measure(m, 'ease')) / 2) * ANKLE_UP;

/** A leg and foot seen from the side, lying flat: heel at the origin, toes towards +x, the leg towards −y. */
const outline = (m: Measures): DrawnPoint[] => {
  const ease = measure(m, 'ease');
  const foot = measure(m, 'foot') + measure(m, 'toe');
  const height = measure(m, 'height');
  const half = (girth: number): number => (girth + ease) / 2;
  const [ball, ankle, top] = [half(measure(m, 'ball')), half(measure(m, 'ankle')), half(measure(m, 'top'))];
  const at = (x: number, y: number, round = true): DrawnPoint => ({ x, y: -y, round });
  const heel = foot * HEEL;
  const up = ankleHeight(m);
  const ballAt = (FOOT.at(-1)?.[0] ?? 0) * foot;
  return [
    at(0, height, false),
    at(0, (height + heel) / 2),
    at(0, heel),
    at(heel * 0.3, heel * 0.3),
    ...FOOT.map(([along, high]) => at(along * foot, high * ball)),
    at(ankle + (ballAt - ankle) * 0.3, (ball + up) / 2 + (up - ball) * 0.3),
    at(ankle, up),
    at((ankle + top) / 2, (up + height) / 2),
    at(top, height, false),
  ];
};

/** Boot liner: seen from the side, folded over sole, toe, front and back, open at the top. */
export const bootLiner: FormKind = {
  kind: 'boot-liner',
  title: 'Boot liner',
  purpose: 'a pair of boots or boot liners, with a shaft',
  group: 'wear',
  pieces: 2,
  faces: 2,
  body: 'sheet',
  size: { name: 'foot, heel to toe', of: m => measure(m, 'foot') + measure(m, 'toe') },
  defaults: { foot: 255, ball: 245, ankle: 260, top: 340, height: 260, toe: 10, ease: 15 },
  usual: { thicknessMm: 5, firmness: 0.22, layers: 5, shrinkage: 0.4 },
  specs: () => [
    ...FOOT_SPECS,
    lengthSpec('ankle', 'Ankle girth', {
      hint: 'wide enough for the heel to pass',
      min: 120,
      max: 450,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('top', 'Top girth', {
      hint: 'around the leg at the top',
      min: 150,
      max: 700,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('height', 'Height', { hint: 'sole to top', min: 100, max: 700, outside: OUTSIDE.fromEnd }),
    allowanceSpec('toe', 'Room at the toe', { hint: 'so that the toes do not touch', max: 40 }),
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
    {
      id: 'T',
      name: 'top, lying flat',
      wanted: (measure(m, 'top') + measure(m, 'ease')) / 2,
      axis: 'along',
      how: 'felt',
    },
  ],
  objection: m =>
    measure(m, 'height') < ankleHeight(m) + SHAFT_MM
      ? 'The shaft ends below the ankle: make it higher, or choose a slipper.'
      : null,
  plan: (m, laying) => {
    const { points } = curvedOutline(
      { points: outline(m), open: [], mirrored: false },
      measure(m, 'foot') * FLATNESS,
    );
    const box = boundsOf(points);
    const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
    const centred = points.map(p => ({ x: p.x - middle.x, y: p.y - middle.y }));
    const topY = box.minY - middle.y;
    return planEnvelope(
      {
        faces: bothFaces(openWhere(centred, p => p.y < topY + 0.01)),
        alongOnTable: 'right',
        gaugeNames: ['foot, heel to toe', 'height'],
        handles: [
          {
            measure: 'foot',
            at: { x: box.maxX - middle.x, y: -middle.y - 20 },
            towards: { x: 1, y: 0 },
            rate: 2,
          },
          {
            measure: 'height',
            at: { x: box.minX - middle.x + 20, y: topY },
            towards: { x: 0, y: -1 },
            rate: 2,
          },
        ],
        more: {
          hints: [
            'Heel and instep fold tightest: rub them first, and roll them last on the bare mat.',
            'Weigh both of the pair the same, and measure both each round.',
          ],
        },
      },
      laying,
    );
  },
};
