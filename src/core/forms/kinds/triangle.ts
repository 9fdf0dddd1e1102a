import { type FormKind, lengthSpec, measure } from '../formKind';
import { planFlat } from '../flat';

/** Triangle: shawl, bunting, a corner piece. Its base lies across, its height along. */
export const triangle: FormKind = {
  kind: 'triangle',
  title: 'Triangle',
  purpose: 'shawl, kerchief, bunting',
  group: 'wear',
  faces: 1,
  body: 'sheet',
  size: { name: 'height', of: m => measure(m, 'height') },
  defaults: { base: 1300, height: 600 },
  usual: { thicknessMm: 2, firmness: 0.12, layers: 2 },
  specs: () => [
    lengthSpec('base', 'Long side', { hint: 'from tip to tip', min: 20, max: 5000 }),
    lengthSpec('height', 'Height', { hint: 'from the long side to its point', min: 20, max: 5000 }),
  ],
  objection: () => null,
  plan: (measures, laying) => {
    const [base, height] = [measure(measures, 'base'), measure(measures, 'height')];
    return planFlat(
      {
        finished: [
          { x: -height / 2, y: -base / 2 },
          { x: height / 2, y: 0 },
          { x: -height / 2, y: base / 2 },
        ],
        alongOnTable: 'down',
        gaugeNames: ['height', 'long side'],
        handles: [
          { measure: 'height', at: { x: height / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'base', at: { x: -height / 2, y: base / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
