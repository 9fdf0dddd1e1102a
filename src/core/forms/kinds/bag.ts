import { roundedBottom } from '../../outline/shapes';
import { type FormKind, lengthSpec, measure, OUTSIDE } from '../formKind';
import { bothFaces, openWhere, planEnvelope } from '../flatEnvelope';

/** Bag: flat when empty, open at the top, its lower corners round. Handles are slots cut in both faces. */
export const bag: FormKind = {
  kind: 'bag',
  title: 'Bag',
  purpose: 'a bag, case or pouch, open at the top',
  group: 'hold',
  faces: 2,
  body: 'sheet',
  size: { name: 'height', of: m => measure(m, 'height') },
  defaults: { height: 330, width: 300, corner: 60, slot: 90 },
  usual: { thicknessMm: 4, firmness: 0.22, layers: 4 },
  specs: () => [
    lengthSpec('height', 'Height', { hint: 'bottom to mouth', min: 30, max: 2000, outside: OUTSIDE.fromEnd }),
    lengthSpec('width', 'Width', { hint: 'lying flat', min: 30, max: 2000, outside: OUTSIDE.across }),
    lengthSpec('corner', 'Round corners', { hint: 'radius at the bottom, 0 for square', min: 0, max: 500 }),
    lengthSpec('slot', 'Hand slot', {
      hint: 'length of the cut in both sides, 0 for none',
      min: 0,
      max: 600,
    }),
  ],
  objection: m => {
    if (measure(m, 'corner') > Math.min(measure(m, 'width') / 2, measure(m, 'height')))
      return 'The corners are rounder than half the width.';
    return measure(m, 'slot') > measure(m, 'width') * 0.9
      ? 'The hand slot is nearly as long as the bag is wide.'
      : null;
  },
  plan: (m, laying) => {
    const [height, width, slot] = [measure(m, 'height'), measure(m, 'width'), measure(m, 'slot')];
    const points = roundedBottom(height, width, [measure(m, 'corner')]);
    const outline = openWhere(points, p => p.x > height / 2 - 0.01);
    // A slot lies a sixth of the height below the mouth, where the wall above it still holds (common practice).
    const x = height / 2 - height / 6;
    return planEnvelope(
      {
        faces: bothFaces(outline),
        alongOnTable: 'up',
        gaugeNames: ['height', 'width'],
        cuts:
          slot > 0
            ? [
                {
                  name: 'hand slot, both sides',
                  line: [
                    { x, y: -slot / 2 },
                    { x, y: slot / 2 },
                  ],
                },
              ]
            : [],
        handles: [
          { measure: 'height', at: { x: height / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'width', at: { x: 0, y: width / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
