import { ellipse } from '../../outline/shapes';
import { allowanceSpec, type FormKind, lengthSpec, measure } from '../formKind';
import { planFlat } from '../flat';

/** Disc: round pad, lid, coaster. It is laid as an ellipse where the two directions shrink differently. */
export const disc: FormKind = {
  kind: 'disc',
  title: 'Flat disc',
  purpose: 'round seat pad, coaster, lid, brooch, or a cover for a brooch back',
  group: 'home',
  faces: 1,
  body: 'sheet',
  size: { name: 'diameter', of: m => measure(m, 'diameter') + 2 * measure(m, 'over') },
  defaults: { diameter: 400, over: 0, strip: 0 },
  usual: { thicknessMm: 8, firmness: 0.25, layers: 6 },
  specs: () => [
    lengthSpec('diameter', 'Diameter', { hint: 'across the middle', min: 10, max: 5000 }),
    allowanceSpec('over', 'Past its back', {
      hint: 'all around, to cover a brooch back or a plate',
    }),
    lengthSpec('strip', 'Folded-in edge', { hint: 'as laid, 0 for none', min: 0, max: 100, scales: false }),
  ],
  objection: () => null,
  plan: (measures, laying) => {
    const diameter = measure(measures, 'diameter') + 2 * measure(measures, 'over');
    return planFlat(
      {
        finished: ellipse(diameter, diameter),
        overAll: { along: diameter, across: diameter },
        strip: measure(measures, 'strip'),
        withStrip: (_, strip) =>
          ellipse(diameter * laying.factor.along + 2 * strip, diameter * laying.factor.across + 2 * strip),
        handles: [
          { measure: 'diameter', at: { x: diameter / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'diameter', at: { x: 0, y: diameter / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
