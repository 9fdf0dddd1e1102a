import { planOnDisc, WOOL_OF_DISC_OVER_BALL } from '../discResist';
import type { FitSpec } from '../fitSpec';
import { type FormKind, lengthSpec, measure, OUTSIDE } from '../formKind';

/** Finished radius of the disc from the mouth: the cut is the mouth’s girth, 2·2a(1−s) = π·mouth. */
const radiusOf = (mouth: number): number => (Math.PI * mouth) / 4;

/** Two bowls from one disc: felted closed, then cut right across. */
export const twoBowls: FormKind = {
  kind: 'two-bowls',
  title: 'Two bowls from one disc',
  purpose: 'a pair of bowls, one resist cut right across',
  group: 'hold',
  faces: 2,
  body: 'sheet',
  size: { name: 'disc', of: m => 2 * radiusOf(measure(m, 'mouth')) },
  laidName: 'Disc resist',
  defaults: { mouth: 130 },
  usual: { thicknessMm: 5, firmness: 0.26, layers: 5, shrinkage: 0.38 },
  specs: () => [
    lengthSpec('mouth', 'Mouth', {
      hint: 'diameter of each bowl',
      min: 20,
      max: 1500,
      outside: OUTSIDE.across,
    }),
  ],
  fits: m =>
    (['first', 'second'] as const).flatMap((bowl, i): FitSpec[] => [
      {
        id: `M${i + 1}`,
        name: `${bowl} bowl, mouth lying flat`,
        wanted: 2 * radiusOf(measure(m, 'mouth')),
        axis: 'across',
        how: 'felt',
      },
      {
        id: `H${i + 1}`,
        name: `${bowl} bowl, depth lying flat`,
        wanted: radiusOf(measure(m, 'mouth')),
        axis: 'along',
        how: 'felt',
      },
    ]),
  closedLines: ['A', 'B'],
  objection: () => null,
  plan: (m, laying) => {
    const a = radiusOf(measure(m, 'mouth'));
    return planOnDisc(
      {
        diameter: 2 * a,
        yields: 2,
        cuts: [
          {
            name: 'straight across, both sides',
            line: [
              { x: 0, y: -a },
              { x: 0, y: a },
            ],
          },
        ],
        // Each half’s rounded edge, πa, becomes the way under the bowl from rim to rim, 2a.
        edgeBecomes: 4 * a,
        turned: null,
        handles: [{ measure: 'mouth', at: { x: a, y: 0 }, towards: { x: 1, y: 0 }, rate: 8 / (2 * Math.PI) }],
        facts: [
          {
            name: 'depth of each',
            value: a,
            dimension: 'length',
            why: 'a(1 − s): the radius of the disc when it has shrunk.',
          },
          {
            name: 'wool beside a ball’s',
            value: WOOL_OF_DISC_OVER_BALL,
            dimension: 'plain',
            why: 'π²/8: a closed disc carries that much more wool than the ball it would become.',
          },
        ],
        hints: ['Turn one bowl over to get the other; rub each rim with soap as soon as it is cut.'],
      },
      laying,
    );
  },
};
