import { type FormKind, lengthSpec, measure, type Measures, OUTSIDE, type ProfilePoint } from '../formKind';
import { girthHandle, planByGirths } from '../envelopeByGirths';
import { indexes, morePlaces, objectToPlaces, withoutPlace } from '../placeList';
import { smoothProfile, stationsOf, holdsAbout } from '../profile';

/** A closed base, then a smooth wall through the places. */
const profile = (m: Measures): ProfilePoint[] => {
  const list = indexes(m, 'wide');
  const at = (i: number) => ({ z: measure(m, `up${i}`), r: measure(m, `wide${i}`) / 2 });
  const wall = list.map((i, n) => ({ ...at(i), round: n > 0 && n < list.length - 1 }));
  const [first] = wall;
  return smoothProfile(first && first.r > 0 ? [{ z: first.z, r: 0, round: false }, ...wall] : wall);
};

/** Round form by its diameters at heights: what a ruler beside the thing reads. */
export const roundProfile: FormKind = {
  kind: 'round-profile',
  title: 'By diameters',
  purpose: 'any round hollow piece, drawn by heights and diameters',
  group: 'own',
  faces: 2,
  body: 'sheet',
  size: { name: 'length on the wall', of: m => stationsOf(profile(m)).at(-1)?.along ?? Number.NaN },
  defaults: { up1: 0, wide1: 70, up2: 60, wide2: 130, up3: 130, wide3: 100, up4: 180, wide4: 120 },
  usual: { thicknessMm: 4, firmness: 0.24, layers: 4 },
  specs: m =>
    indexes(m, 'wide').flatMap(i => [
      lengthSpec(`up${i}`, `Height ${i}`, {
        hint: i === 1 ? 'the closed base' : 'above the base',
        min: 0,
        max: 3000,
      }),
      lengthSpec(`wide${i}`, `Diameter ${i}`, {
        hint: i === 1 ? '0 where it closes to a point' : 'across, at this height',
        min: i === 1 ? 0 : 1,
        max: 2000,
        outside: OUTSIDE.across,
      }),
    ]),
  places: { more: m => morePlaces(m, 'up', 'wide'), fewer: m => withoutPlace(m, 'up', 'wide') },
  objection: m => objectToPlaces(m, 'up', 'wide'),
  plan: (m, laying) => {
    const wall = profile(m);
    const s = stationsOf(wall);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        isRound: true,
        handles: indexes(m, 'wide').flatMap(i => {
          const r = measure(m, `wide${i}`) / 2;
          const at = wall.findIndex(p => p.z === measure(m, `up${i}`) && p.r === r);
          return at < 0 || r === 0 ? [] : [girthHandle(`wide${i}`, s, { at, perGirth: Math.PI })];
        }),
        more: {
          facts: [holdsAbout(wall)],
        },
      },
      laying,
    );
  },
};
