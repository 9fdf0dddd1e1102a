import { boundsOf, type Polygon, splitAlong } from '../../outline/polygon';
import { roundedBottom } from '../../outline/shapes';
import { type FormKind, type LayingTransform, lengthSpec, measure, OUTSIDE } from '../formKind';
import { hemSpec } from '../hem';
import { openWhere, planEnvelope } from '../flatEnvelope';

/** The outline of back and flap with an edge of so many laid mm round the flap, to be folded in; finished mm of the outline. */
const withFlapEdge = (
  back: Polygon,
  of: {
    readonly fold: number;
    readonly hem: number;
    readonly corner: number;
    readonly factor: LayingTransform['factor'];
  },
): Polygon => {
  const { fold, hem, factor } = of;
  if (hem === 0) return back;
  const { maxX, maxY } = boundsOf(back);
  const [x, y] = [hem / factor.along, hem / factor.across];
  const flap = roundedBottom(2 * (maxX - fold + x), 2 * (maxY + y), [
    0,
    of.corner === 0 ? 0 : of.corner + Math.min(x, y),
  ])
    .filter(p => p.x > 0)
    .map(p => ({ x: p.x + fold, y: p.y }));
  const below = back.filter(p => p.x < fold && p.y < 0);
  const above = back.filter(p => p.x < fold && p.y >= 0);
  return [
    ...below,
    { x: fold, y: -maxY },
    { x: fold, y: -maxY - y },
    ...flap,
    { x: fold, y: maxY + y },
    { x: fold, y: maxY },
    ...above,
  ];
};

/** Pocket with a flap: the flap is laid on one face only, beyond the fold line at the mouth. */
export const flapPocket: FormKind = {
  kind: 'flap-pocket',
  title: 'Flap pocket',
  purpose: 'a pouch or case that closes with a flap',
  group: 'hold',
  faces: 2,
  body: 'sheet',
  size: { name: 'height with the flap', of: m => measure(m, 'height') + measure(m, 'flap') },
  defaults: { height: 140, width: 200, flap: 100, corner: 20, flapCorner: 50, hem: 0 },
  usual: { thicknessMm: 3.5, firmness: 0.22, layers: 4 },
  specs: () => [
    lengthSpec('height', 'Height', { hint: 'bottom to mouth', min: 20, max: 1500, outside: OUTSIDE.fromEnd }),
    lengthSpec('width', 'Width', { hint: 'lying flat', min: 20, max: 1500, outside: OUTSIDE.across }),
    lengthSpec('flap', 'Flap', { hint: 'beyond the fold line', min: 5, max: 1500 }),
    lengthSpec('corner', 'Round corners', { hint: 'radius at the bottom', min: 0, max: 500 }),
    lengthSpec('flapCorner', 'Round flap', { hint: 'radius of its corners', min: 0, max: 500 }),
    { ...hemSpec(), label: 'Folded-in edge of the flap' },
  ],
  objection: m =>
    Math.max(measure(m, 'corner'), measure(m, 'flapCorner')) > measure(m, 'width') / 2 ||
    measure(m, 'corner') > measure(m, 'height') ||
    measure(m, 'flapCorner') > measure(m, 'flap')
      ? 'A corner is rounder than there is room for.'
      : null,
  plan: (m, laying) => {
    const [height, width, flap] = [measure(m, 'height'), measure(m, 'width'), measure(m, 'flap')];
    const whole = height + flap;
    const fold = height - whole / 2;
    const back = roundedBottom(whole, width, [measure(m, 'corner'), measure(m, 'flapCorner')]);
    const hem = measure(m, 'hem');
    const front = roundedBottom(height, width, [measure(m, 'corner')]).map(p => ({
      x: p.x - flap / 2,
      y: p.y,
    }));
    return planEnvelope(
      {
        faces: [
          // Round the flap the wool ends where it lies: nothing is folded over there.
          {
            name: 'back and flap',
            outline: openWhere(
              withFlapEdge(splitAlong(back, fold), {
                fold,
                hem,
                corner: measure(m, 'flapCorner'),
                factor: laying.factor,
              }),
              p => p.x > fold,
            ),
          },
          { name: 'front', outline: openWhere(front, p => p.x > fold - 0.01) },
        ],
        ...(hem > 0 ? { withoutFolds: back } : {}),
        alongOnTable: 'up',
        gaugeNames: ['height with the flap', 'width'],
        folds: [
          {
            name: 'fold line of the flap',
            line: [
              { x: fold, y: -width / 2 },
              { x: fold, y: width / 2 },
            ],
          },
        ],
        handles: [
          { measure: 'height', at: { x: fold, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'flap', at: { x: whole / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'width', at: { x: 0, y: width / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
        more: {
          hints: ['Lay the flap on the back only, beyond the fold line; keep its wool out of the opening.'],
        },
      },
      laying,
    );
  },
};
