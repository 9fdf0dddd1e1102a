import { type FormKind, lengthSpec, measure, type Measures, OUTSIDE } from '../formKind';
import { alongHandle, girthHandle, planByGirths } from '../envelopeByGirths';
import type { Station } from '../station';
import { indexes, morePlaces, objectToPlaces, withoutPlace } from '../placeList';

const stations = (m: Measures): Station[] =>
  indexes(m, 'girth').map(i => ({ along: measure(m, `along${i}`), girth: measure(m, `girth${i}`) }));

/** Envelope by its girths: any hollow piece that is measured with a string at places along it. */
export const girthStations: FormKind = {
  kind: 'girth-stations',
  title: 'By girths',
  purpose: 'any hollow piece, measured with a string along its wall',
  group: 'own',
  faces: 2,
  body: 'sheet',
  size: {
    name: 'length on the wall',
    of: m => measure(m, `along${indexes(m, 'girth').at(-1) ?? 1}`) - measure(m, 'along1'),
  },
  defaults: {
    along1: 0,
    girth1: 180,
    along2: 60,
    girth2: 270,
    along3: 150,
    girth3: 300,
    along4: 260,
    girth4: 210,
    along5: 330,
    girth5: 260,
  },
  usual: { thicknessMm: 3.5, firmness: 0.22, layers: 3 },
  specs: m =>
    indexes(m, 'girth').flatMap(i => [
      lengthSpec(`along${i}`, `Place ${i}`, {
        hint: i === 1 ? 'the closed end' : 'along the wall from the closed end',
        min: 0,
        max: 5000,
      }),
      lengthSpec(`girth${i}`, `Girth ${i}`, {
        hint: i === 1 ? '0 where it closes to a point' : 'a string once around',
        min: i === 1 ? 0 : 1,
        max: 5000,
        outside: OUTSIDE.girth,
      }),
    ]),
  places: {
    more: m => morePlaces(m, 'along', 'girth'),
    fewer: m => withoutPlace(m, 'along', 'girth'),
  },
  objection: m => objectToPlaces(m, 'along', 'girth'),
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        isRound: true,
        handles: indexes(m, 'girth').flatMap((i, at) =>
          at === 0
            ? []
            : [
                girthHandle(`girth${i}`, s, { at }),
                alongHandle(`along${i}`, s, { at, movesAlone: at < s.length - 1 }),
              ],
        ),
      },
      laying,
    );
  },
};
