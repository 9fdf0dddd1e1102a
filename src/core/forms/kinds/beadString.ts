import { type FormKind, lengthSpec, measure, type Measures } from '../formKind';
import { ellipsoidProfile, planSolid } from '../solidBody';

/** Which figure follows from the other two. */
const FOLLOWS = { count: 0, length: 1, gap: 2 } as const;

/** Gaps between n beads, and one more where the string is closed. */
const gaps = (m: Measures): number => measure(m, 'count') - (measure(m, 'closed') === 1 ? 0 : 1);

/** n beads and their gaps make the length; the figure left out follows. */
const settle = (m: Measures, changed: string): Measures => {
  const [d, gap, length, n] = [
    measure(m, 'diameter'),
    measure(m, 'gap'),
    measure(m, 'length'),
    measure(m, 'count'),
  ];
  const ends = measure(m, 'closed') === 1 ? 0 : 1;
  const left = measure(m, 'follows');
  const typed = (['count', 'length', 'gap'] as const).find(id => id === changed);
  // A figure that is typed no longer follows: the length does, or the count when the length was typed.
  const follows =
    typed && FOLLOWS[typed] === left ? (typed === 'length' ? FOLLOWS.count : FOLLOWS.length) : left;
  const now = { ...m, follows };
  if (follows === FOLLOWS.count) {
    const count = Math.max(1, Math.floor((length + ends * gap) / (d + gap) + 1e-9));
    return { ...now, count };
  }
  if (follows === FOLLOWS.length) return { ...now, length: n * d + Math.max(0, n - ends) * gap };
  return { ...now, gap: Math.max(0, (length - n * d) / Math.max(1, n - ends)) };
};

/** Bead string: so many equal beads for a length, with or without gaps. */
export const beadString: FormKind = {
  kind: 'bead-string',
  title: 'Bead string',
  purpose: 'a necklace or garland: beads for a length',
  group: 'solid',
  ways: ['palms', 'many'],
  faces: 1,
  body: 'solid',
  size: { name: 'bead', of: m => measure(m, 'diameter') },
  laidName: 'Rolled dry',
  defaults: { diameter: 20, length: 450, gap: 5, count: 18, closed: 1, follows: 0 },
  usual: { thicknessMm: 20, firmness: 0.25, layers: 1, shrinkage: 0.33 },
  settle,
  specs: m => [
    lengthSpec('diameter', 'Bead', { hint: 'diameter', min: 4, max: 200 }),
    lengthSpec('length', 'String', {
      hint: 'beads and gaps together',
      min: 10,
      max: 10_000,
      scales: false,
      follows: measure(m, 'follows') === FOLLOWS.length,
    }),
    lengthSpec('gap', 'Gap', {
      hint: 'between two beads',
      min: 0,
      max: 500,
      scales: false,
      follows: measure(m, 'follows') === FOLLOWS.gap,
    }),
    lengthSpec('count', 'Beads', {
      hint: 'how many',
      min: 1,
      max: 2000,
      scales: false,
      dimension: 'count',
      follows: measure(m, 'follows') === FOLLOWS.count,
    }),
    {
      id: 'closed',
      label: 'Ends',
      hint: 'a closed string has a gap more',
      min: 0,
      max: 1,
      scales: false,
      dimension: 'choice',
      options: [
        { value: 1, text: 'closed' },
        { value: 0, text: 'open' },
      ],
    },
    {
      id: 'follows',
      label: 'Worked out',
      hint: 'which figure is worked out from the others',
      min: 0,
      max: 2,
      scales: false,
      dimension: 'choice',
      options: [
        { value: FOLLOWS.count, text: 'beads' },
        { value: FOLLOWS.length, text: 'string' },
        { value: FOLLOWS.gap, text: 'gap' },
      ],
    },
  ],
  objection: m => (measure(m, 'gap') < 0 ? 'That many beads are longer than the string.' : null),
  plan: (m, laying) => {
    const [d, n] = [measure(m, 'diameter'), Math.max(1, Math.round(measure(m, 'count')))];
    return planSolid(
      {
        profile: ellipsoidProfile(d, d),
        overAll: { along: d, across: d },
        alike: n,
        heaps: [{ name: 'beads', share: 1, count: n }],
        gaugeNames: ['bead', 'bead the other way'],
        handles: [{ measure: 'diameter', at: { x: d / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 }],
        more: {
          facts: [
            {
              name: 'on the string',
              value: n * d + gaps(m) * measure(m, 'gap'),
              dimension: 'length',
              why: 'n · bead + gaps between them.',
            },
          ],
          hints: ['Pierce them with a thin needle while they are damp; a dry bead grips the needle.'],
        },
      },
      laying,
    );
  },
};
