import { type FormKind, measure, type Measures } from './formKind';
import { alongHandle, girthHandle, planByGirths, type Station } from './envelopeByGirths';

/** Stations on the crown: enough for its girths to be right to 1 in 1000. */
const CROWN_STATIONS = 12;

/** A crown like a quarter of an ellipse, then a wall that widens evenly to the hem. */
const stations = (m: Measures): Station[] => {
  const girth = measure(m, 'girth');
  const crown = measure(m, 'crown');
  const dome = Array.from({ length: CROWN_STATIONS + 1 }, (_, i) => {
    const angle = (Math.PI / 2) * (i / CROWN_STATIONS);
    return { along: crown * (i / CROWN_STATIONS), girth: girth * Math.sin(angle) };
  });
  return [...dome, { along: crown + measure(m, 'height'), girth: measure(m, 'hem') }];
};

/** Cosy: closed over the top, open at the hem. */
export const cosy: FormKind = {
  kind: 'cosy',
  title: 'Cosy',
  purpose: 'a pot, a press, an egg',
  faces: 2,
  reference: () => 'height',
  defaults: { girth: 520, crown: 130, height: 120, hem: 560 },
  usual: { thicknessMm: 5, firmness: 0.2, layers: 4 },
  specs: () => [
    { id: 'girth', label: 'Girth', hint: 'round handle and spout', min: 60, max: 2500, scales: true },
    { id: 'crown', label: 'Crown', hint: 'top to the widest, on the wall', min: 15, max: 800, scales: true },
    { id: 'height', label: 'Wall height', hint: 'crown to hem', min: 10, max: 1000, scales: true },
    { id: 'hem', label: 'Hem girth', hint: 'round the open edge', min: 60, max: 2500, scales: true },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'down',
        handles: [
          girthHandle('girth', s, CROWN_STATIONS),
          alongHandle('crown', s, { at: CROWN_STATIONS }),
          girthHandle('hem', s, CROWN_STATIONS + 1),
          alongHandle('height', s, { at: CROWN_STATIONS + 1 }),
        ],
      },
      laying,
    );
  },
};
