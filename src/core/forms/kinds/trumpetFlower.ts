import { type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import { smoothProfile, stationsOf } from '../profile';

/** Where the throat lies, as a share of the height; common practice. */
const THROAT_UP = 0.55;

const wall = (m: Measures) => {
  const height = measure(m, 'height');
  return smoothProfile([
    { z: 0, r: 0, round: false },
    { z: height * 0.12, r: (measure(m, 'throat') / 2) * 0.8, round: true },
    { z: height * THROAT_UP, r: measure(m, 'throat') / 2, round: true },
    { z: height, r: measure(m, 'mouth') / 2, round: false },
  ]);
};

/** Trumpet flower: closed at the stem, flaring at the mouth, which is cut into petals. */
export const trumpetFlower: FormKind = {
  kind: 'trumpet-flower',
  title: 'Trumpet flower',
  purpose: 'a flower with a throat, its rim cut into petals',
  group: 'flower',
  faces: 2,
  body: 'sheet',
  size: { name: 'length on the wall', of: m => stationsOf(wall(m)).at(-1)?.along ?? Number.NaN },
  defaults: { height: 110, throat: 34, mouth: 110, petals: 5, depth: 35 },
  usual: { thicknessMm: 2, firmness: 0.16, layers: 3 },
  specs: () => [
    lengthSpec('height', 'Height', { hint: 'stem to mouth, upright', min: 15, max: 800 }),
    lengthSpec('throat', 'Throat', {
      hint: 'diameter of the tube',
      min: 5,
      max: 500,
      outside: OUTSIDE.across,
    }),
    lengthSpec('mouth', 'Mouth', { hint: 'diameter at the rim', min: 8, max: 1000, outside: OUTSIDE.across }),
    lengthSpec('petals', 'Petals', {
      hint: 'cuts from the rim, 0 for none',
      min: 0,
      max: 16,
      scales: false,
      dimension: 'count',
    }),
    lengthSpec('depth', 'Petal depth', { hint: 'how far a cut goes in', min: 0, max: 500 }),
  ],
  fits: m => [
    { id: 'S', name: 'spread, from rim to rim', wanted: measure(m, 'mouth'), axis: 'across', how: 'felt' },
  ],
  objection: m =>
    measure(m, 'depth') > measure(m, 'height') * 0.6 ? 'The cuts go down into the throat.' : null,
  plan: (m, laying) => {
    const profile = wall(m);
    const s = stationsOf(profile);
    const end = s.at(-1) ?? { along: 0, girth: 0 };
    const petals = Math.round(measure(m, 'petals'));
    const depth = measure(m, 'depth');
    const girthAt = (along: number): number => s.find(p => p.along >= along)?.girth ?? end.girth;
    const throat = profile.findIndex(p => p.z >= measure(m, 'height') * THROAT_UP - 1e-9);
    // Cuts at even girths; each lies on one of the two faces, where the flat form shows it.
    const cuts = Array.from({ length: petals }, (_, i) => {
      const part = ((i + 0.5) / petals) * 2;
      const side = part < 1 ? part : 2 - part;
      const y = (girth: number): number => (side - 0.5) * (girth / 2);
      return {
        name: `petal ${i + 1}, ${part < 1 ? 'side 1' : 'side 2'}`,
        line: [
          { x: end.along, y: y(end.girth) },
          { x: end.along - depth, y: y(girthAt(end.along - depth)) },
        ],
      };
    });
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        isRound: true,
        cuts,
        handles: [
          girthHandle('throat', s, { at: throat, perGirth: Math.PI }),
          girthHandle('mouth', s, { at: s.length - 1, perGirth: Math.PI }),
          alongHandle('height', s, { at: s.length - 1 }),
        ],
        more: {
          hints: ['Spread a stem’s dry fan over the closed end first, and rub the join longest.'],
        },
      },
      laying,
    );
  },
};
