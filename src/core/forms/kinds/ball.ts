import { capSpec, overCap } from '../cap';
import { type FormKind, lengthSpec, measure, type Measures } from '../formKind';
import { ballVolume, ellipsoidProfile, planSolid } from '../solidBody';

/** What is in the middle. */
const CORE = { none: 0, wool: 1, other: 2 } as const;

const diameterOf = (m: Measures): number => overCap(m, 'diameter');
const coreOf = (m: Measures): number => Math.max(0, diameterOf(m) - 2 * measure(m, 'cover'));

/** Ball: solid, or a cover over a core of other wool, yarn, raw fleece or a wooden bead. */
export const ball: FormKind = {
  kind: 'ball',
  title: 'Ball',
  purpose: 'a ball, a bead, a bauble, for its cap or alone',
  group: 'solid',
  ways: ['palms', 'stocking', 'many'],
  also: [
    {
      title: 'Pair of balls',
      purpose: 'two alike, for earrings or clasps',
      pieces: 2,
      measures: { diameter: 18, over: 0, core: 0, cover: 5 },
    },
    {
      title: 'Batch of balls with a core',
      purpose: 'a dozen dryer or juggling balls, a cover over a core',
      pieces: 12,
      measures: { diameter: 70, over: 0, core: 1, cover: 3 },
    },
  ],
  faces: 1,
  body: 'solid',
  size: { name: 'diameter', of: diameterOf },
  laidName: 'Rolled dry',
  defaults: { diameter: 25, over: 0, core: 0, cover: 5 },
  usual: { thicknessMm: 25, firmness: 0.25, layers: 1, shrinkage: 0.3 },
  specs: m => [
    lengthSpec('diameter', 'Diameter', { hint: 'of the ball, or of the cap it sits in', min: 4, max: 600 }),
    capSpec('ball'),
    {
      id: 'core',
      label: 'Core',
      hint: 'what is in the middle',
      min: 0,
      max: 2,
      scales: false,
      dimension: 'choice',
      options: [
        { value: CORE.none, text: 'none' },
        { value: CORE.wool, text: 'wool, weighed apart' },
        { value: CORE.other, text: 'bead, yarn, fleece' },
      ],
    },
    ...(measure(m, 'core') === CORE.none
      ? []
      : [
          lengthSpec('cover', 'Cover', {
            hint: 'its thickness when finished',
            min: 0.5,
            max: 200,
            dimension: 'thickness' as const,
          }),
        ]),
  ],
  objection: m =>
    measure(m, 'core') !== CORE.none && coreOf(m) <= 0
      ? 'The cover is thicker than the ball: there is no core left.'
      : null,
  plan: (m, laying) => {
    const diameter = diameterOf(m);
    const core = measure(m, 'core') === CORE.none ? 0 : coreOf(m);
    const coreShare = ballVolume(core) / ballVolume(diameter);
    const woolCore = measure(m, 'core') === CORE.wool;
    return planSolid(
      {
        profile: ellipsoidProfile(diameter, diameter),
        overAll: { along: diameter, across: diameter },
        hollowMm3: woolCore ? 0 : ballVolume(core),
        gaugeNames: ['diameter', 'diameter the other way'],
        heaps: woolCore
          ? [
              { name: 'core', share: coreShare, count: 1 },
              { name: 'cover', share: 1 - coreShare, count: 1 },
            ]
          : [{ name: core > 0 ? 'cover' : 'wool', share: 1, count: 1 }],
        handles: [{ measure: 'diameter', at: { x: diameter / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 }],
        more: {
          facts:
            core > 0
              ? [
                  {
                    name: 'core',
                    value: core,
                    dimension: 'length',
                    why: 'diameter − 2 · cover, as it is when finished.',
                  },
                ]
              : [],
          hints: [
            'Roll between your palms, always changing direction, lightly at first and harder later.',
            ...(core > 0
              ? ['Felt the core until it holds; the cover joins best while both are still soft.']
              : []),
          ],
        },
      },
      laying,
    );
  },
};
