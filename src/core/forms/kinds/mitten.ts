import { ClipType, FillRule, booleanOpD } from 'clipper2-ts';
import type { Point } from '../../outline/polygon';
import { OFFSET_DECIMALS } from '../../tolerances';
import { allowanceSpec, type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { bothFaces, openWhere, planEnvelope } from '../flatEnvelope';
import { GLOVE_SIZES } from '../sizeTables';

/** Sensible proportions of a hand, as shares of its length or girth; common practice. */
const HAND = {
  palmFrom: 0.18,
  tipFrom: 0.72,
  thumbFrom: 0.26,
  thumbLength: 0.42,
  thumbGirth: 0.42,
  thumbLeanDeg: 30,
};
const STEPS = 24;

/** Hand lying flat, cuff at x = 0, fingers towards +x, thumb towards +y. */
const outline = (m: Measures): Point[] => {
  const ease = measure(m, 'ease');
  const cuff = measure(m, 'cuff');
  const hand = measure(m, 'hand') + measure(m, 'tip');
  const [palm, wrist] = [(measure(m, 'girth') + ease) / 4, (measure(m, 'wrist') + ease) / 4];
  const tipFrom = cuff + hand * HAND.tipFrom;
  const tip = Array.from({ length: 2 * STEPS + 1 }, (_, i) => {
    const angle = -Math.PI / 2 + (Math.PI * i) / (2 * STEPS);
    return { x: tipFrom + hand * (1 - HAND.tipFrom) * Math.cos(angle), y: palm * Math.sin(angle) };
  });
  const body: Point[] = [
    { x: 0, y: -wrist },
    { x: cuff, y: -wrist },
    { x: cuff + hand * HAND.palmFrom, y: -palm },
    ...tip,
    { x: cuff + hand * HAND.palmFrom, y: palm },
    { x: cuff, y: wrist },
    { x: 0, y: wrist },
  ];
  const half = (measure(m, 'girth') * HAND.thumbGirth + ease) / 4;
  const lean = (HAND.thumbLeanDeg * Math.PI) / 180;
  const root = { x: cuff + hand * HAND.thumbFrom, y: palm - half };
  const reach = half + hand * HAND.thumbLength - half;
  const end = { x: root.x + reach * Math.cos(lean), y: root.y + reach * Math.sin(lean) };
  const round = Array.from({ length: 2 * STEPS + 1 }, (_, i) => {
    const angle = lean - Math.PI / 2 + (Math.PI * i) / (2 * STEPS);
    return { x: end.x + half * Math.cos(angle), y: end.y + half * Math.sin(angle) };
  });
  const side = { x: -half * Math.sin(lean), y: half * Math.cos(lean) };
  const thumb = [
    { x: root.x - side.x, y: root.y - side.y },
    ...round,
    { x: root.x + side.x, y: root.y + side.y },
  ];
  const [whole = body] = booleanOpD(ClipType.Union, [body], [thumb], FillRule.NonZero, OFFSET_DECIMALS);
  const middle = (cuff + hand) / 2;
  return whole.map(p => ({ x: p.x - middle, y: p.y }));
};

/** Mitten: a hand lying flat, the thumb beside it, open at the cuff. */
export const mitten: FormKind = {
  kind: 'mitten',
  title: 'Mitten',
  purpose: 'a pair of mittens, by length and girth of the hand',
  group: 'wear',
  pieces: 2,
  faces: 2,
  body: 'sheet',
  size: { name: 'length', of: m => measure(m, 'cuff') + measure(m, 'hand') + measure(m, 'tip') },
  defaults: { hand: 185, girth: 200, wrist: 180, cuff: 60, ease: 20, tip: 8 },
  usual: { thicknessMm: 3, firmness: 0.18, layers: 3, shrinkage: 0.36 },
  specs: () => [
    lengthSpec('hand', 'Hand length', { hint: 'wrist to the longest fingertip', min: 60, max: 300 }),
    lengthSpec('girth', 'Hand girth', {
      hint: 'around the knuckles, without the thumb',
      min: 80,
      max: 400,
      outside: OUTSIDE.girth,
      table: GLOVE_SIZES,
    }),
    lengthSpec('wrist', 'Wrist girth', {
      hint: 'over the widest part of the hand, if it has to slip on',
      min: 80,
      max: 400,
    }),
    lengthSpec('cuff', 'Cuff', { hint: 'beyond the wrist', min: 5, max: 400 }),
    allowanceSpec('ease', 'Ease of girth', { hint: 'room to move and to slip in' }),
    allowanceSpec('tip', 'Room at the tips', { hint: 'so that the fingers do not push through', max: 60 }),
  ],
  fits: m => [
    {
      id: 'W',
      name: 'width at the knuckles, lying flat',
      wanted: (measure(m, 'girth') + measure(m, 'ease')) / 2,
      axis: 'across',
      how: 'felt',
    },
    {
      id: 'F',
      name: 'around the wrist, drawn over a fist',
      wanted: measure(m, 'girth'),
      axis: 'across',
      how: 'drawn-over',
    },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const points = outline(m);
    const left = Math.min(...points.map(p => p.x));
    const length = measure(m, 'cuff') + measure(m, 'hand') + measure(m, 'tip');
    const palm = (measure(m, 'girth') + measure(m, 'ease')) / 4;
    return planEnvelope(
      {
        faces: bothFaces(openWhere(points, p => p.x < left + 0.01)),
        alongOnTable: 'up',
        gaugeNames: ['length', 'width over the thumb'],
        handles: [
          { measure: 'hand', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'girth', at: { x: 0, y: -palm }, towards: { x: 0, y: -1 }, rate: 4 },
          { measure: 'cuff', at: { x: -length / 2, y: 0 }, towards: { x: -1, y: 0 }, rate: 2 },
        ],
        more: {
          hints: [
            'Turn the template over for the other hand.',
            'The fold between thumb and hand is tightest: rub it first and longest.',
          ],
        },
      },
      laying,
    );
  },
};
