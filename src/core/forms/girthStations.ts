import { type FormKind, measure, type Measures, type MeasureSpec } from './formKind';
import { alongHandle, girthHandle, planByGirths, type Station } from './envelopeByGirths';

/** Most stations a felter would measure by hand. */
const MOST = 40;

/** A piece has two ends. */
const FEWEST = 2;

const indexes = (m: Measures): number[] =>
  Array.from({ length: MOST }, (_, i) => i + 1).filter(i => m[`girth${i}`] !== undefined);

const stations = (m: Measures): Station[] =>
  indexes(m).map(i => ({ along: measure(m, `along${i}`), girth: measure(m, `girth${i}`) }));

const spec = (of: Pick<MeasureSpec, 'id' | 'label' | 'hint' | 'min'>): MeasureSpec => ({
  ...of,
  max: 5000,
  scales: true,
});

/** Envelope by its girths: any hollow piece that is measured with a string at places along it. */
export const girthStations: FormKind = {
  kind: 'girth-stations',
  title: 'By girths',
  purpose: 'any hollow piece, measured with a string',
  faces: 2,
  referenceName: 'length',
  reference: m => `along${indexes(m).at(-1) ?? 1}`,
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
    indexes(m).flatMap(i => [
      spec({
        id: `along${i}`,
        label: `Place ${i}`,
        hint: i === 1 ? 'the closed end' : 'along the wall from the closed end',
        min: 0,
      }),
      spec({
        id: `girth${i}`,
        label: `Girth ${i}`,
        hint: i === 1 ? '0 where it closes to a point' : 'a string once round',
        min: i === 1 ? 0 : 1,
      }),
    ]),
  places: {
    more: m => {
      const [before, last] = stations(m).slice(-2);
      const next = (indexes(m).at(-1) ?? 0) + 1;
      if (!before || !last || next > MOST) return null;
      return { ...m, [`along${next}`]: 2 * last.along - before.along, [`girth${next}`]: last.girth };
    },
    fewer: m => {
      const last = indexes(m).at(-1) ?? 0;
      const kept = Object.entries(m).filter(([id]) => id !== `along${last}` && id !== `girth${last}`);
      return last > FEWEST ? Object.fromEntries(kept) : null;
    },
  },
  objection: m => {
    const s = stations(m);
    if (s.length < FEWEST) return 'At least two places are needed.';
    const back = s.findIndex((p, i) => i > 0 && p.along <= (s[i - 1]?.along ?? 0));
    return back > 0 ? `Place ${back + 1} must lie further along than place ${back}.` : null;
  },
  plan: (m, laying) => {
    const s = stations(m);
    return planByGirths(
      {
        stations: s,
        alongOnTable: 'up',
        handles: indexes(m).flatMap((i, at) =>
          at === 0
            ? []
            : [
                girthHandle(`girth${i}`, s, at),
                alongHandle(`along${i}`, s, { at, movesAlone: at < s.length - 1 }),
              ],
        ),
      },
      laying,
    );
  },
};
