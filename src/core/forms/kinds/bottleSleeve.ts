import { allowanceSpec, type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import type { Station } from '../station';

/** Flat round base, straight wall, shoulder, neck: girths met along the wall from the middle of the base. */
const stations = (m: Measures): Station[] => {
  const ease = measure(m, 'ease');
  const body = measure(m, 'body') + ease;
  const neck = measure(m, 'neck') + ease;
  const base = body / (2 * Math.PI);
  const shoulderStart = base + measure(m, 'height');
  const shoulderEnd = shoulderStart + measure(m, 'shoulder');
  return [
    { along: 0, girth: 0 },
    { along: base, girth: body },
    { along: shoulderStart, girth: body },
    { along: shoulderEnd, girth: neck },
    { along: shoulderEnd + measure(m, 'collar'), girth: neck },
  ];
};

/** Bottle sleeve, the mouth at the neck. */
export const bottleSleeve: FormKind = {
  kind: 'bottle-sleeve',
  title: 'Bottle sleeve',
  purpose: 'a bottle, jar, flask or hot-water jar',
  group: 'hold',
  faces: 2,
  body: 'sheet',
  size: { name: 'length on the wall', of: m => stations(m).at(-1)?.along ?? Number.NaN },
  defaults: { body: 260, height: 200, shoulder: 50, neck: 140, collar: 30, ease: 5 },
  usual: { thicknessMm: 3.5, firmness: 0.22, layers: 3 },
  specs: () => [
    lengthSpec('body', 'Body girth', {
      hint: 'a string once around',
      min: 60,
      max: 1500,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('height', 'Wall height', {
      hint: 'base to shoulder',
      min: 20,
      max: 1500,
      outside: OUTSIDE.fromEnd,
    }),
    lengthSpec('shoulder', 'Shoulder', { hint: 'along the slope', min: 5, max: 500 }),
    lengthSpec('neck', 'Neck girth', {
      hint: 'a string once around',
      min: 30,
      max: 1500,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('collar', 'Collar', { hint: 'straight part at the mouth', min: 5, max: 500 }),
    allowanceSpec('ease', 'Ease of girth', { hint: 'so that it slips on' }),
  ],
  fits: m => [
    {
      id: 'N',
      name: 'neck, drawn over a fist',
      wanted: measure(m, 'neck') + measure(m, 'ease'),
      axis: 'across',
      how: 'drawn-over',
    },
  ],
  objection: m =>
    measure(m, 'neck') > measure(m, 'body') ? 'The neck is wider than the body: measure them again.' : null,
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        isRound: true,
        handles: [
          girthHandle('body', s, { at: 1 }),
          alongHandle('height', s, { at: 2 }),
          alongHandle('shoulder', s, { at: 3 }),
          girthHandle('neck', s, { at: 3 }),
          alongHandle('collar', s, { at: 4 }),
        ],
      },
      laying,
    );
  },
};
