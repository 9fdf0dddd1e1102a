import { capSpec, overCap } from '../cap';
import { type Fact, type FormKind, lengthSpec, measure, type Measures } from '../formKind';
import { ballVolume, ellipsoidProfile, planSolid } from '../solidBody';

/** What is in the middle. */
const CORE = { none: 0, wool: 1, other: 2, weighed: 3 } as const;
/** What a wadded core of fleece, yarn or old felt has when the ball is done, g/cm³. Common practice, no published source. */
const CORE_DENSITY = 0.3;

/** g/cm³ of a dryer ball: 50 g and more at 7 cm. Common practice, no published source. */
const DRYER_FIRMNESS = 0.3;
/** A bead of 2 cm as people weigh it out, g. Common practice, no published source. */
const BEAD = { mm: 20, grams: 2, upToMm: 30 } as const;

/** What people weigh out for a small bead, beside what its density says. */
const asWeighed = (diameter: number): readonly Fact[] =>
  diameter > BEAD.upToMm
    ? []
    : [
        {
          name: 'as people weigh it out',
          value: BEAD.grams * (diameter / BEAD.mm) ** 3,
          dimension: 'mass',
          why: 'About 2 g for a bead of 2 cm, by the cube of its width (common practice). That is more than its density says: fibre is lost in the water and on the hands, and a small core is felted firmer. Weigh one as planned, and one so, and keep what comes right.',
        },
      ];

const diameterOf = (m: Measures): number => overCap(m, 'diameter');
/** Diameter of the core: by its weight, or what the cover leaves. */
const coreOf = (m: Measures): number =>
  measure(m, 'core') === CORE.weighed
    ? Math.cbrt(((6 / Math.PI) * 1000 * (m['coreGrams'] ?? 0)) / CORE_DENSITY)
    : Math.max(0, diameterOf(m) - 2 * measure(m, 'cover'));

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
      title: 'Dryer ball',
      purpose: 'a large ball, felted through in a stocking',
      measures: { diameter: 70, over: 0, core: 0, cover: 5, coreGrams: 42.5 },
      firmness: DRYER_FIRMNESS,
      way: 'stocking',
    },
    {
      title: 'Batch of balls with a core',
      purpose: 'a dozen dryer or juggling balls, a cover over a core',
      pieces: 12,
      firmness: DRYER_FIRMNESS,
      way: 'stocking',
      measures: { diameter: 70, over: 0, core: 1, cover: 3, coreGrams: 42.5 },
    },
  ],
  faces: 1,
  body: 'solid',
  size: { name: 'diameter', of: diameterOf },
  laidName: 'Rolled dry',
  defaults: { diameter: 25, over: 0, core: 0, cover: 5, coreGrams: 1 },
  usual: { thicknessMm: 25, firmness: 0.25, layers: 1, shrinkage: 0.3 },
  specs: m => [
    lengthSpec('diameter', 'Diameter', { hint: 'of the ball, or of the cap it sits in', min: 4, max: 600 }),
    capSpec('ball'),
    {
      id: 'core',
      label: 'Core',
      hint: 'what is in the middle',
      min: 0,
      max: 3,
      scales: false,
      dimension: 'choice',
      options: [
        { value: CORE.none, text: 'none' },
        { value: CORE.wool, text: 'wool, weighed apart' },
        { value: CORE.other, text: 'bead, yarn, fleece' },
        { value: CORE.weighed, text: 'of so many grams' },
      ],
    },
    ...(measure(m, 'core') === CORE.weighed
      ? [
          {
            id: 'coreGrams',
            label: 'Core weighs',
            hint: 'fleece, yarn, old felt; each',
            min: 0.1,
            max: 5000,
            scales: false,
            dimension: 'mass' as const,
          },
        ]
      : []),
    ...(measure(m, 'core') === CORE.none || measure(m, 'core') === CORE.weighed
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
  // A ball of an earlier build was never asked what its core weighs.
  settle: m => ({ coreGrams: 1, ...m }),
  objection: m => {
    if (measure(m, 'core') === CORE.none) return null;
    if (measure(m, 'core') === CORE.weighed)
      return coreOf(m) >= diameterOf(m)
        ? 'The core is as large as the ball: there is no room for a cover.'
        : null;
    return coreOf(m) <= 0 ? 'The cover is thicker than the ball: there is no core left.' : null;
  },
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
        ...(measure(m, 'core') === CORE.weighed
          ? { apart: [{ name: 'core', grams: m['coreGrams'] ?? 0 }] }
          : {}),
        handles: [{ measure: 'diameter', at: { x: diameter / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 }],
        more: {
          facts: [
            ...(core > 0 ? [] : asWeighed(diameter)),
            ...(core > 0
              ? [
                  {
                    name: 'core',
                    value: core,
                    dimension: 'length',
                    why:
                      measure(m, 'core') === CORE.weighed
                        ? `Its weight at ${CORE_DENSITY} g/cm³, as a wadded core is when the ball is done (common practice).`
                        : 'diameter − 2 · cover, as it is when finished.',
                  } as const,
                ]
              : []),
          ],
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
