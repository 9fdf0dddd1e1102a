import { allowanceSpec, type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import type { Station } from '../station';
import { crown, CROWN_STATIONS } from '../crown';

/** A crown like a quarter of an ellipse, then a wall that widens evenly to the hem. */
const stations = (m: Measures): Station[] => {
  const ease = measure(m, 'ease');
  const top = measure(m, 'crown');
  return [
    ...crown(top, measure(m, 'girth') + ease),
    { along: top + measure(m, 'height'), girth: measure(m, 'hem') + ease },
  ];
};

/** Cosy: closed over the top, open at the hem. */
export const cosy: FormKind = {
  kind: 'cosy',
  title: 'Cosy',
  purpose: 'a tea-pot, a coffee press, an egg',
  group: 'home',
  faces: 2,
  body: 'sheet',
  size: { name: 'length on the wall', of: m => measure(m, 'crown') + measure(m, 'height') },
  defaults: { girth: 500, crown: 130, height: 120, hem: 540, ease: 20 },
  usual: { thicknessMm: 5, firmness: 0.2, layers: 4 },
  specs: () => [
    lengthSpec('girth', 'Girth', {
      hint: 'around handle and spout',
      min: 60,
      max: 2500,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('crown', 'Crown', { hint: 'top to the widest, on the wall', min: 15, max: 800 }),
    lengthSpec('height', 'Wall height', { hint: 'crown to hem', min: 10, max: 1000 }),
    lengthSpec('hem', 'Hem girth', {
      hint: 'around the open edge',
      min: 60,
      max: 2500,
      outside: OUTSIDE.girth,
    }),
    allowanceSpec('ease', 'Ease of girth', { hint: 'so that it lifts off without catching' }),
  ],
  fits: m => [
    {
      id: 'M',
      name: 'open edge, lying flat',
      wanted: (measure(m, 'hem') + measure(m, 'ease')) / 2,
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
        alongOnTable: 'down',
        isRound: true,
        handles: [
          girthHandle('girth', s, { at: CROWN_STATIONS }),
          alongHandle('crown', s, { at: CROWN_STATIONS }),
          girthHandle('hem', s, { at: CROWN_STATIONS + 1 }),
          alongHandle('height', s, { at: CROWN_STATIONS + 1 }),
        ],
      },
      laying,
    );
  },
};
