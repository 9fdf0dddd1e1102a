import { type FormKind, lengthSpec, measure, type ProfilePoint } from '../formKind';
import { planSolid } from '../solidBody';

/** Cord, stem or spike: rolled round, with a dry fan of fibre left at the root to join it on. */
export const cord: FormKind = {
  kind: 'cord',
  title: 'Cord or stem',
  purpose: 'a cord, handle, stem or spike, with a fan to join it on',
  group: 'solid',
  ways: ['cord'],
  faces: 1,
  body: 'solid',
  size: { name: 'length', of: m => measure(m, 'length') },
  defaults: { length: 250, width: 10, tip: 10, fan: 60 },
  usual: { thicknessMm: 10, firmness: 0.24, layers: 1, shrinkage: 0.25 },
  specs: () => [
    lengthSpec('length', 'Length', { hint: 'finished, without the fan', min: 10, max: 10_000 }),
    lengthSpec('width', 'Thickness', { hint: 'its diameter', min: 1, max: 100, dimension: 'thickness' }),
    lengthSpec('tip', 'At the tip', {
      hint: 'its diameter there, 0 for a spike',
      min: 0,
      max: 100,
      dimension: 'thickness',
    }),
    lengthSpec('fan', 'Dry fan', {
      hint: 'as laid, left unfelted at the root; 0 for none',
      min: 0,
      max: 400,
      scales: false,
    }),
  ],
  objection: m =>
    measure(m, 'tip') > measure(m, 'width') ? 'It is thicker at the tip than at the root.' : null,
  plan: (m, laying) => {
    const [length, width, fan] = [measure(m, 'length'), measure(m, 'width'), measure(m, 'fan')];
    const profile: ProfilePoint[] = [
      { z: 0, r: 0 },
      { z: 0, r: width / 2 },
      { z: length, r: measure(m, 'tip') / 2 },
      ...(measure(m, 'tip') > 0 ? [{ z: length, r: 0 }] : []),
    ];
    const laidLength = length * laying.factor.along;
    return planSolid(
      {
        profile,
        extraShare: fan / laidLength,
        gaugeNames: ['length', 'thickness'],
        handles: [{ measure: 'length', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 }],
        more: {
          facts: [
            {
              name: 'to pull off',
              value: laidLength + fan,
              dimension: 'length',
              why: 'length ÷ (1 − s), plus the dry fan.',
            },
          ],
          hints: fan > 0 ? ['Keep the fan dry. Spread it into the layout, and rub the join longest.'] : [],
        },
      },
      laying,
    );
  },
};
