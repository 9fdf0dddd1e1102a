import { type FormKind, lengthSpec, measure, type Measures, OUTSIDE, type ProfilePoint } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import { type ProfilePlace, smoothProfile, stationsOf, holdsAbout } from '../profile';

/** The neck starts at this share of the height (common practice). */
const NECK_FROM = 0.82;

const places = (m: Measures): ProfilePlace[] => {
  const height = measure(m, 'height');
  const r = (id: string): number => measure(m, id) / 2;
  return [
    { z: 0, r: 0, round: false },
    { z: 0, r: r('base'), round: false },
    { z: height * measure(m, 'bellyUp'), r: r('belly'), round: true },
    { z: height * NECK_FROM, r: r('neck'), round: true },
    { z: height, r: r('mouth'), round: false },
  ];
};
const profile = (m: Measures): ProfilePoint[] => smoothProfile(places(m));

/** Vessel: base, belly, neck and lip by their diameters, the wall a smooth curve through them. */
export const vessel: FormKind = {
  kind: 'vessel',
  title: 'Vessel with a neck',
  purpose: 'a jar, vase or lamp with a belly and a neck',
  group: 'hold',
  faces: 2,
  body: 'sheet',
  size: { name: 'length on the wall', of: m => stationsOf(profile(m)).at(-1)?.along ?? Number.NaN },
  defaults: { height: 220, base: 80, belly: 160, bellyUp: 0.4, neck: 60, mouth: 76 },
  usual: { thicknessMm: 5, firmness: 0.26, layers: 5, shrinkage: 0.38 },
  specs: () => [
    lengthSpec('height', 'Height', { hint: 'base to lip', min: 20, max: 1500, outside: OUTSIDE.fromEnd }),
    lengthSpec('base', 'Base', { hint: 'diameter', min: 5, max: 1500, outside: OUTSIDE.across }),
    lengthSpec('belly', 'Belly', {
      hint: 'diameter at the widest',
      min: 10,
      max: 1500,
      outside: OUTSIDE.across,
    }),
    {
      id: 'bellyUp',
      label: 'Belly height',
      hint: 'how far up it is widest, as a share of the height',
      min: 0.1,
      max: 0.75,
      scales: false,
      dimension: 'share',
    },
    lengthSpec('neck', 'Neck', {
      hint: 'diameter at the narrowest',
      min: 5,
      max: 1500,
      outside: OUTSIDE.across,
    }),
    lengthSpec('mouth', 'Lip', { hint: 'diameter at the mouth', min: 5, max: 1500, outside: OUTSIDE.across }),
  ],
  fits: m => [
    { id: 'H', name: 'height, base to lip', wanted: measure(m, 'height'), axis: 'along', how: 'felt' },
    { id: 'W', name: 'widest, from side to side', wanted: measure(m, 'belly'), axis: 'across', how: 'felt' },
    { id: 'M', name: 'lip, from rim to rim', wanted: measure(m, 'mouth'), axis: 'across', how: 'hole' },
  ],
  closedLines: ['A', 'B'],
  objection: m =>
    measure(m, 'neck') > measure(m, 'belly') ? 'The neck is wider than the belly: measure them again.' : null,
  plan: (m, laying) => {
    const wall = profile(m);
    const s = stationsOf(wall);
    const nearest = (place: ProfilePlace | undefined): number =>
      wall.findIndex(p => p.z === place?.z && p.r === place.r);
    const [, base, belly, neck, lip] = places(m).map(nearest);
    const at = (i: number | undefined) => ({ at: i ?? 0, perGirth: Math.PI });
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        isRound: true,
        handles: [
          girthHandle('base', s, at(base)),
          girthHandle('belly', s, at(belly)),
          girthHandle('neck', s, at(neck)),
          girthHandle('mouth', s, at(lip)),
          alongHandle('height', s, { at: s.length - 1 }),
        ],
        more: {
          facts: [holdsAbout(wall)],
        },
      },
      laying,
    );
  },
};
