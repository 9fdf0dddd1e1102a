import { box } from '../../outline/shapes';
import { finishedMm, laidMm } from '../../quantity';
import { type FormKind, lengthSpec, measure, type Measures } from '../formKind';
import { planFlat } from '../flat';
import { spiralLength } from '../spiralLength';

const laidLengthOf = (m: Measures): number =>
  spiralLength({ r0: measure(m, 'tube') / 2, layer: measure(m, 'layer'), turns: measure(m, 'turns') });

/** Diameter of the roll as laid, mm. */
const rollOf = (m: Measures): number => measure(m, 'tube') + 2 * measure(m, 'layer') * measure(m, 'turns');

/** Rolled flower: a strip laid on a plastic strip and rolled round a tube, felted as a roll, cut to open. */
export const rolledFlower: FormKind = {
  kind: 'rolled-flower',
  title: 'Rolled flower',
  purpose: 'a strip rolled around a tube: a rose, a bud',
  group: 'flower',
  ways: ['tube', 'sheet'],
  faces: 1,
  body: 'sheet',
  size: { name: 'height', of: m => measure(m, 'height') },
  laidName: 'Strip height',
  defaults: { height: 60, turns: 6, tube: 24, layer: 1.5 },
  usual: { thicknessMm: 1.5, firmness: 0.16, layers: 2 },
  specs: () => [
    lengthSpec('height', 'Height', { hint: 'height of the flower', min: 10, max: 600 }),
    lengthSpec('turns', 'Turns', {
      hint: 'how many times it goes around',
      min: 1,
      max: 60,
      scales: false,
      dimension: 'count',
    }),
    lengthSpec('tube', 'Tube', {
      hint: 'its diameter',
      min: 3,
      max: 200,
      scales: false,
      dimension: 'thickness',
    }),
    lengthSpec('layer', 'Thickness laid', {
      hint: 'of strip and wool together, pressed',
      min: 0.2,
      max: 20,
      scales: false,
      dimension: 'thickness',
    }),
  ],
  objection: () => null,
  plan: (m, laying) => {
    const height = measure(m, 'height');
    const laid = laidLengthOf(m);
    const roll = rollOf(m);
    const plan = planFlat(
      {
        finished: box(height, laid / laying.factor.across),
        outlineIs: 'layout',
        alongOnTable: 'up',
        handles: [{ measure: 'height', at: { x: height / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 }],
        more: {
          facts: [
            {
              name: 'strip length',
              value: laid,
              dimension: 'length',
              why: 'Length of an Archimedean spiral with this many turns around the tube, each one laid thickness further out.',
            },
            {
              name: 'roll as laid',
              value: roll,
              dimension: 'length',
              why: 'tube + 2 · turns · laid thickness.',
            },
          ],
          hints: [
            'Outer turns felt first, inner ones last: lay the colours from the outside of the flower to its heart.',
            'Leave it rolled overnight, then roll again; it takes about an hour of rolling (common practice).',
          ],
        },
      },
      laying,
    );
    const [height0, width0] = plan.gauges;
    if (!height0 || !width0) return plan;
    // In the roll only the height and the roll’s own diameter can be measured.
    return {
      ...plan,
      gauges: [
        { ...height0, name: 'height' },
        {
          ...width0,
          name: 'across the roll',
          laidMm: laidMm(roll),
          wantedMm: finishedMm(roll / laying.factor.across),
          from: { x: 0, y: -roll / 2 },
          to: { x: 0, y: roll / 2 },
        },
      ],
    };
  },
};
