import { allowanceSpec, type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import type { Station } from '../station';

const stations = (m: Measures): Station[] => {
  const ease = measure(m, 'ease');
  return [
    { along: 0, girth: measure(m, 'first') + ease },
    { along: measure(m, 'length'), girth: measure(m, 'last') + ease },
  ];
};

/** Sleeve: a tube open at both ends. */
export const sleeve: FormKind = {
  kind: 'sleeve',
  title: 'Sleeve',
  purpose: 'wrist warmers, a cup sleeve, a lamp shade, a tube',
  group: 'wear',
  pieces: 2,
  also: [
    {
      title: 'Cup sleeve',
      purpose: 'one sleeve around a cup or jar',
      group: 'hold',
      pieces: 1,
      measures: { first: 230, last: 260, length: 80, ease: 0 },
    },
  ],
  faces: 2,
  body: 'sheet',
  size: { name: 'length', of: m => measure(m, 'length') },
  defaults: { length: 160, first: 190, last: 220, ease: 10 },
  usual: { thicknessMm: 3, firmness: 0.18, layers: 3, shrinkage: 0.36 },
  specs: () => [
    lengthSpec('length', 'Length', { hint: 'from mouth to mouth', min: 20, max: 2000 }),
    lengthSpec('first', 'Girth at one end', {
      hint: 'a string once around',
      min: 40,
      max: 2500,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('last', 'Girth at the other', {
      hint: 'a string once around',
      min: 40,
      max: 2500,
      outside: OUTSIDE.girth,
    }),
    allowanceSpec('ease', 'Ease of girth', { hint: 'so that it slips on' }),
  ],
  fits: m => [
    {
      id: 'E',
      name: 'first end, lying flat',
      wanted: (measure(m, 'first') + measure(m, 'ease')) / 2,
      axis: 'across',
      how: 'felt',
    },
    {
      id: 'F',
      name: 'other end, lying flat',
      wanted: (measure(m, 'last') + measure(m, 'ease')) / 2,
      axis: 'across',
      how: 'felt',
    },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        open: { start: true, end: true },
        alongOnTable: 'up',
        isRound: true,
        handles: [
          alongHandle('length', s, { at: 1 }),
          girthHandle('first', s, { at: 0 }),
          girthHandle('last', s, { at: 1 }),
        ],
      },
      laying,
    );
  },
};
