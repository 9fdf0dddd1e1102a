import { planOnDisc, roundCut } from '../discResist';
import { type FormKind, lengthSpec, measure, type Measures, OUTSIDE, type ProfilePoint } from '../formKind';
import { holdsAbout } from '../profile';

const slant = (m: Measures): number =>
  Math.hypot(measure(m, 'height'), (measure(m, 'mouth') - measure(m, 'base')) / 2);

/** Half the path rim–under–rim, and half the mouth. For a straight wall that is diameter and height. */
const discOf = (m: Measures): number => measure(m, 'base') / 2 + slant(m) + measure(m, 'mouth') / 2;

const profile = (m: Measures): ProfilePoint[] => [
  { z: 0, r: 0 },
  { z: 0, r: measure(m, 'base') / 2 },
  { z: measure(m, 'height'), r: measure(m, 'mouth') / 2 },
];

/** Bowl on a disc resist: the mouth is cut in the middle of one face, whose rest becomes the upper wall. */
export const bowl: FormKind = {
  kind: 'bowl',
  title: 'Bowl',
  purpose: 'a bowl or basket, cut open in the middle of a disc',
  group: 'hold',
  faces: 2,
  body: 'sheet',
  size: { name: 'disc', of: discOf },
  laidName: 'Disc resist',
  defaults: { mouth: 140, base: 110, height: 90 },
  usual: { thicknessMm: 6, firmness: 0.28, layers: 5, shrinkage: 0.4 },
  specs: () => [
    lengthSpec('mouth', 'Mouth', { hint: 'diameter', min: 15, max: 2000, outside: OUTSIDE.across }),
    lengthSpec('base', 'Base', { hint: 'diameter', min: 5, max: 2000, outside: OUTSIDE.across }),
    lengthSpec('height', 'Height', { hint: 'base to rim', min: 5, max: 1500, outside: OUTSIDE.fromEnd }),
  ],
  fits: m => [
    { id: 'M', name: 'mouth, from rim to rim', wanted: measure(m, 'mouth'), axis: 'both', how: 'hole' },
    { id: 'H', name: 'height, base to rim', wanted: measure(m, 'height'), axis: 'both', how: 'hole' },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const [mouth, base, diameter] = [measure(m, 'mouth'), measure(m, 'base'), discOf(m)];
    return planOnDisc(
      {
        diameter,
        cuts: [roundCut('opening, one side only', mouth)],
        edgeBecomes: Math.PI * Math.max(mouth, base),
        turned: { profile: profile(m), mouth: 'up' },
        handles: [
          {
            measure: 'height',
            at: { x: diameter / 2, y: 0 },
            towards: { x: 1, y: 0 },
            rate: (2 * slant(m)) / measure(m, 'height'),
          },
          { measure: 'mouth', at: { x: 0, y: mouth / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
        facts: [holdsAbout(profile(m))],
        hints: [
          'First cut a hand’s width in the middle; trim the opening to its line when the wall stands up.',
        ],
      },
      laying,
    );
  },
};
