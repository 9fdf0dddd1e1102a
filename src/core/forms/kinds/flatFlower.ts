import { ellipse } from '../../outline/shapes';
import type { NamedLine } from '../formKind';
import { type FormKind, lengthSpec, measure } from '../formKind';
import { planFlat } from '../flat';

/** Cuts between petals, from the rim inwards, on a disc of a radius. */
const petalCuts = (petals: number, radius: number, depth: number): NamedLine[] =>
  Array.from({ length: petals }, (_, i) => {
    const angle = (2 * Math.PI * i) / petals;
    const at = (r: number) => ({ x: r * Math.cos(angle), y: r * Math.sin(angle) });
    return { name: `petal ${i + 1}`, line: [at(radius), at(radius - depth)] };
  });

/** Flat flower: a thin disc, cut into petals when it is prefelt, on a stem made before. */
export const flatFlower: FormKind = {
  kind: 'flat-flower',
  title: 'Flat flower',
  purpose: 'a disc cut into petals, with a stem or without',
  group: 'flower',
  faces: 1,
  body: 'sheet',
  size: { name: 'diameter', of: m => measure(m, 'diameter') },
  defaults: { diameter: 90, petals: 5, depth: 25 },
  usual: { thicknessMm: 2, firmness: 0.15, layers: 2 },
  specs: () => [
    lengthSpec('diameter', 'Diameter', { hint: 'petal tip to petal tip', min: 15, max: 1000 }),
    lengthSpec('petals', 'Petals', {
      hint: 'cuts from the rim, 0 for none',
      min: 0,
      max: 24,
      scales: false,
      dimension: 'count',
    }),
    lengthSpec('depth', 'Petal depth', { hint: 'how far a cut goes in', min: 0, max: 500 }),
  ],
  objection: m =>
    measure(m, 'depth') >= measure(m, 'diameter') / 2
      ? 'A cut as deep as the radius parts the petals.'
      : null,
  plan: (measures, laying) => {
    const diameter = measure(measures, 'diameter');
    const laid = { x: laying.factor.along, y: laying.factor.across };
    const cuts = petalCuts(Math.round(measure(measures, 'petals')), diameter / 2, measure(measures, 'depth'));
    return planFlat(
      {
        finished: ellipse(diameter, diameter),
        overAll: { along: diameter, across: diameter },
        handles: [{ measure: 'diameter', at: { x: diameter / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 }],
        more: {
          cuts: cuts.map(c => ({ ...c, line: c.line.map(p => ({ x: p.x * laid.x, y: p.y * laid.y })) })),
          hints: [
            'Lay the wool outwards from the middle, thin towards the rim. Spread a stem’s dry fan in the middle first.',
            'Cut the petals at the prefelt stage, and rub each cut edge with soap at once.',
          ],
        },
      },
      laying,
    );
  },
};
