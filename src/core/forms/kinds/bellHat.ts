import { allowanceSpec, type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import type { Station } from '../station';
import { CROWN_STATIONS, dome } from '../crown';
import { HEAD_SIZES } from '../sizeTables';

/** Share of the depth that is crown; the rest is a straight wall down to the head line (common practice). */
const CROWN_SHARE = 0.68;

const stations = (m: Measures): Station[] => {
  const head = measure(m, 'head') + measure(m, 'ease');
  const depth = measure(m, 'depth');
  const top = depth * CROWN_SHARE;
  return [
    ...dome(top, head),
    { along: depth, girth: head },
    { along: depth + measure(m, 'brim'), girth: measure(m, 'brimGirth') },
  ];
};

/** Bell hat: crown, head and a flaring brim, the mouth at the brim. */
export const bellHat: FormKind = {
  kind: 'bell-hat',
  title: 'Bell hat',
  purpose: 'a hat with a crown and a turned brim',
  group: 'wear',
  ways: ['hands', 'bundle'],
  faces: 2,
  body: 'sheet',
  size: { name: 'length on the wall', of: m => measure(m, 'depth') + measure(m, 'brim') },
  defaults: { head: 570, depth: 190, brim: 70, brimGirth: 760, ease: 10 },
  usual: { thicknessMm: 3, firmness: 0.2, layers: 4, shrinkage: 0.38 },
  specs: () => [
    lengthSpec('head', 'Head girth', {
      hint: 'around the forehead and the back of the head',
      min: 250,
      max: 700,
      outside: OUTSIDE.girth,
      table: HEAD_SIZES,
    }),
    lengthSpec('depth', 'Depth', {
      hint: 'top of the crown to the head line, on the wall',
      min: 60,
      max: 400,
    }),
    lengthSpec('brim', 'Brim', { hint: 'head line to the edge', min: 10, max: 300 }),
    lengthSpec('brimGirth', 'Brim girth', { hint: 'around the edge of the brim', min: 250, max: 2500 }),
    allowanceSpec('ease', 'Ease of girth', { hint: 'hair and a band' }),
  ],
  fits: m => [
    {
      id: 'H',
      name: 'head opening, around the inside',
      wanted: measure(m, 'head') + measure(m, 'ease'),
      axis: 'both',
      how: 'hole',
    },
    {
      id: 'F',
      name: 'head opening, drawn over a fist',
      wanted: measure(m, 'head'),
      axis: 'both',
      how: 'drawn-over',
    },
  ],
  objection: m => {
    if (measure(m, 'depth') * CROWN_SHARE <= (measure(m, 'head') + measure(m, 'ease')) / (2 * Math.PI))
      return 'The crown is too shallow to span this head.';
    return measure(m, 'brimGirth') < measure(m, 'head')
      ? 'The brim is narrower than the head: it would not go on.'
      : null;
  },
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'down',
        isRound: true,
        handles: [
          girthHandle('head', s, { at: CROWN_STATIONS }),
          alongHandle('depth', s, { at: CROWN_STATIONS + 1 }),
          girthHandle('brimGirth', s, { at: CROWN_STATIONS + 2 }),
          alongHandle('brim', s, { at: CROWN_STATIONS + 2 }),
        ],
        more: {
          hints: [
            'Stretch it wet over a hat block or a head as soon as it is firm: it dries the way you leave it.',
          ],
        },
      },
      laying,
    );
  },
};
