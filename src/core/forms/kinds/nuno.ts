import { box } from '../../outline/shapes';
import { type FormKind, lengthSpec, measure, type Measures } from '../formKind';
import { planFlat } from '../flat';

/** What the length and the width are of. */
const AS = { finished: 0, cut: 1 } as const;
const isAsCut = (m: Measures): boolean => m['as'] === AS.cut;
/** Wool of a veil, g/m²: a net one can see through. Common practice, no published source. */
const VEIL_GSM = 15;

/** Nuno: thin wool felted through fine cloth, which it gathers as it shrinks. */
export const nuno: FormKind = {
  kind: 'nuno',
  title: 'Nuno scarf',
  purpose: 'a scarf of fine cloth, gathered by thin wool',
  group: 'wear',
  also: [
    {
      title: 'Nuno panel',
      purpose: 'a panel or blouse piece of fine cloth and wool',
      measures: { length: 700, width: 500, share: 1, cloth: 25, veil: 0.3, as: AS.finished },
    },
  ],
  faces: 1,
  body: 'sheet',
  size: {
    name: 'length',
    of: (m, factor) => measure(m, 'length') / (isAsCut(m) ? factor : 1),
    asLaid: m => isAsCut(m),
  },
  laidName: 'Cloth cut, length',
  defaults: { length: 1500, width: 250, share: 0.6, cloth: 20, veil: 0.15, as: AS.finished },
  usual: { thicknessMm: 1, firmness: 0.12, layers: 2, shrinkage: 0.35 },
  specs: m => [
    lengthSpec('length', 'Length', {
      hint: isAsCut(m) ? 'of the cloth' : 'lengthwise, finished',
      min: 50,
      max: 8000,
    }),
    lengthSpec('width', 'Width', {
      hint: isAsCut(m) ? 'of the cloth' : 'crosswise, finished',
      min: 20,
      max: 4000,
    }),
    {
      id: 'as',
      label: 'Measures of',
      hint: 'the scarf when it is done, or a cloth you have',
      min: 0,
      max: 1,
      scales: false,
      dimension: 'choice',
      options: [
        { value: AS.finished, text: 'the scarf, finished' },
        { value: AS.cut, text: 'a cloth you have' },
      ],
    },
    {
      id: 'share',
      label: 'Wool covers',
      hint: 'share of the cloth that has wool on it',
      min: 0.05,
      max: 1,
      scales: false,
      dimension: 'share',
    },
    { id: 'cloth', label: 'Cloth', hint: 'its weight', min: 1, max: 300, scales: false, dimension: 'areal' },
    {
      id: 'veil',
      label: 'Veil over silk',
      hint: 'share covered with loose silk or plant fibre, held down by a net of wool',
      min: 0,
      max: 1,
      scales: false,
      dimension: 'share',
    },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const { along, across } = laying.factor;
    const asCut = isAsCut(m);
    const length = measure(m, 'length') / (asCut ? along : 1);
    const width = measure(m, 'width') / (asCut ? across : 1);
    const veilM2 = (measure(m, 'veil') * length * along * width * across) / 1e6;
    const clothG = (length * along * width * across * measure(m, 'cloth')) / 1e6;
    return planFlat(
      {
        finished: box(length, width),
        outlineIs: 'cloth',
        woolShare: measure(m, 'share'),
        handles: [
          {
            measure: 'length',
            at: { x: length / 2, y: 0 },
            towards: { x: 1, y: 0 },
            rate: asCut ? 2 * along : 2,
          },
          {
            measure: 'width',
            at: { x: 0, y: width / 2 },
            towards: { x: 0, y: 1 },
            rate: asCut ? 2 * across : 2,
          },
        ],
        more: {
          facts: [
            {
              name: 'cloth, width cut',
              value: width * across,
              dimension: 'length',
              why: 'width ÷ (1 − s crosswise).',
            },
            { name: 'cloth', value: clothG, dimension: 'mass', why: 'Area cut × its weight.' },
            {
              name: 'cloth when gathered',
              value: measure(m, 'cloth') * along * across,
              dimension: 'areal',
              why: 'Its weight ÷ (1 − s lengthwise)(1 − s crosswise): the same cloth on less area.',
            },
            {
              name: 'area to veil',
              value: veilM2,
              dimension: 'area',
              why: 'Share veiled × area cut. Silk, viscose, bamboo and linen do not felt: a thin net of wool holds them.',
            },
            {
              name: 'wool for the veil',
              value: veilM2 * VEIL_GSM,
              dimension: 'mass',
              why: `Area to veil × about ${VEIL_GSM} g/m², a net one can see through (common practice). It is part of the total wool.`,
            },
          ],
          hints: [
            'Before you roll, rub until hairs show on the back of the cloth.',
            'It is done when the back is bubbly crêpe all over, and looks dry.',
          ],
        },
      },
      laying,
    );
  },
};
