import { type FormKind, measure, type Measures } from './formKind';
import { alongHandle, girthHandle, planByGirths, type Station } from './envelopeByGirths';

/** Flat round base, straight wall, shoulder, neck: girths met along the wall from the middle of the base. */
const stations = (m: Measures): Station[] => {
  const body = measure(m, 'body');
  const base = body / (2 * Math.PI);
  const shoulderStart = base + measure(m, 'height');
  const shoulderEnd = shoulderStart + measure(m, 'shoulder');
  return [
    { along: 0, girth: 0 },
    { along: base, girth: body },
    { along: shoulderStart, girth: body },
    { along: shoulderEnd, girth: measure(m, 'neck') },
    { along: shoulderEnd + measure(m, 'collar'), girth: measure(m, 'neck') },
  ];
};

/** Bottle sleeve, the mouth at the neck. */
export const bottleSleeve: FormKind = {
  kind: 'bottle-sleeve',
  title: 'Bottle sleeve',
  purpose: 'a bottle, flask or hot-water jar',
  faces: 2,
  reference: () => 'height',
  defaults: { body: 260, height: 200, shoulder: 50, neck: 140, collar: 30 },
  usual: { thicknessMm: 3.5, firmness: 0.22, layers: 3 },
  specs: () => [
    { id: 'body', label: 'Body girth', hint: 'a string once round', min: 60, max: 1500, scales: true },
    { id: 'height', label: 'Wall height', hint: 'base to shoulder', min: 20, max: 1500, scales: true },
    { id: 'shoulder', label: 'Shoulder', hint: 'along the slope', min: 5, max: 500, scales: true },
    { id: 'neck', label: 'Neck girth', hint: 'a string once round', min: 30, max: 1500, scales: true },
    { id: 'collar', label: 'Collar', hint: 'straight part at the mouth', min: 5, max: 500, scales: true },
  ],
  objection: m =>
    measure(m, 'neck') > measure(m, 'body') ? 'The neck is wider than the body: measure them again.' : null,
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        handles: [
          girthHandle('body', s, 1),
          alongHandle('height', s, { at: 2 }),
          alongHandle('shoulder', s, { at: 3 }),
          girthHandle('neck', s, 3),
          alongHandle('collar', s, { at: 4 }),
        ],
      },
      laying,
    );
  },
};
