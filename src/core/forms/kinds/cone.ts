import { hemSpec } from '../hem';
import { type FormKind, lengthSpec, measure, type Measures, OUTSIDE, type ProfilePoint } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import { stationsOf } from '../profile';

const profile = (m: Measures): ProfilePoint[] => [
  { z: 0, r: 0 },
  { z: measure(m, 'height'), r: measure(m, 'base') / 2 },
];
const slant = (m: Measures): number => Math.hypot(measure(m, 'height'), measure(m, 'base') / 2);

/**
 * Half the angle at the tip. A wall of thickness t parts two cones of the same angle whose tips are t/sin α apart, and whose
 * radii at the base differ by t/cos α. Source: plain geometry.
 */
const halfAngle = (m: Measures): number => Math.atan2(measure(m, 'base') / 2, measure(m, 'height'));

/** Cone: closed to a point, open at the base. Its length on the wall is the slant. */
export const cone: FormKind = {
  kind: 'cone',
  title: 'Cone',
  purpose: 'a tree, a gnome’s hat, a pointed shade',
  group: 'home',
  faces: 2,
  body: 'sheet',
  size: { name: 'slant', of: slant },
  defaults: { base: 120, height: 200, hem: 0 },
  usual: { thicknessMm: 4, firmness: 0.24, layers: 4 },
  specs: m => [
    lengthSpec('base', 'Base', {
      hint: 'diameter',
      min: 10,
      max: 2000,
      outside: OUTSIDE.across / Math.cos(halfAngle(m)),
    }),
    lengthSpec('height', 'Height', {
      hint: 'upright, base to tip',
      min: 10,
      max: 2000,
      outside: OUTSIDE.fromEnd / Math.sin(halfAngle(m)),
    }),
    hemSpec(),
  ],
  fits: m => [
    { id: 'H', name: 'height, standing', wanted: measure(m, 'height'), axis: 'along', how: 'felt' },
    { id: 'M', name: 'base, from rim to rim', wanted: measure(m, 'base'), axis: 'across', how: 'felt' },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const s = stationsOf(profile(m));
    const along = alongHandle('height', s, { at: 0 });
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'down',
        isRound: true,
        hemMm: measure(m, 'hem'),
        handles: [
          girthHandle('base', s, { at: 1, perGirth: Math.PI }),
          { ...along, towards: { x: -1, y: 0 }, rate: (2 * slant(m)) / measure(m, 'height') },
        ],
      },
      laying,
    );
  },
};
