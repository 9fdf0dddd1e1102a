import { box } from '../../outline/shapes';
import { type FormKind, lengthSpec, measure } from '../formKind';
import { planFlat } from '../flat';

/** Rectangle: seat pad, coaster, lamp band, mat, wall hanging. */
export const rectangle: FormKind = {
  kind: 'rectangle',
  title: 'Flat rectangle',
  purpose: 'seat pad, coaster, lamp band, mat, wall hanging',
  group: 'home',
  also: [
    {
      title: 'Picture',
      purpose: 'a wall piece, its edge folded in straight',
      measures: { length: 500, width: 350, strip: 20 },
    },
  ],
  faces: 1,
  body: 'sheet',
  size: { name: 'length', of: m => measure(m, 'length') },
  defaults: { length: 400, width: 300, strip: 0 },
  usual: { thicknessMm: 5, firmness: 0.2, layers: 4 },
  specs: () => [
    lengthSpec('length', 'Length', { hint: 'along', min: 10, max: 5000 }),
    lengthSpec('width', 'Width', { hint: 'across', min: 10, max: 5000 }),
    lengthSpec('strip', 'Folded-in edge', { hint: 'as laid, 0 for none', min: 0, max: 100, scales: false }),
  ],
  objection: () => null,
  plan: (measures, laying) => {
    const length = measure(measures, 'length');
    const width = measure(measures, 'width');
    return planFlat(
      {
        finished: box(length, width),
        strip: measure(measures, 'strip'),
        withStrip: (_, strip) =>
          box(length * laying.factor.along + 2 * strip, width * laying.factor.across + 2 * strip),
        handles: [
          { measure: 'length', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'width', at: { x: 0, y: width / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
