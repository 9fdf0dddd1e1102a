import { ellipse } from '../../outline/shapes';
import { type FormKind, lengthSpec, measure, OUTSIDE, PLAIN } from '../formKind';
import { gaugeLine } from '../gaugeLine';
import { ellipsoidProfile } from '../solidBody';
import { polesOf, spheroidArea } from '../spheroidArea';

/** Flat as a coin, a string over the poles is twice the diameter. */
const FLATTEST = 2 / Math.PI;

/** Pod on a ball or balloon: wool all round it, a mouth cut where the ball comes out. */
export const pod: FormKind = {
  kind: 'pod',
  title: 'Pod on a ball',
  purpose: 'a pod, lantern or nest, felted around a ball or balloon',
  group: 'hold',
  ways: ['ball'],
  faces: 1,
  body: 'sheet',
  size: { name: 'girth', of: m => measure(m, 'girth') },
  laidName: 'Girth of the ball',
  defaults: { girth: 420, over: 420, mouth: 60 },
  usual: { thicknessMm: 4, firmness: 0.24, layers: 4, shrinkage: 0.3 },
  specs: () => [
    lengthSpec('girth', 'Girth', {
      hint: 'a string once around the middle',
      min: 60,
      max: 3000,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('over', 'Over the poles', {
      hint: 'a string once around over top and bottom; a balloon is not a perfect sphere',
      min: 60,
      max: 3000,
      outside: OUTSIDE.girth,
    }),
    lengthSpec('mouth', 'Mouth', { hint: 'diameter of the hole cut at the top', min: 0, max: 800 }),
  ],
  fits: m => [
    { id: 'M', name: 'mouth, from rim to rim', wanted: measure(m, 'mouth'), axis: 'both', how: 'hole' },
  ],
  objection: m => {
    if (measure(m, 'mouth') > measure(m, 'girth') / Math.PI) return 'The mouth is wider than the pod.';
    return measure(m, 'over') < measure(m, 'girth') * 0.66
      ? 'Over the poles is too short for this girth.'
      : null;
  },
  plan: (m, laying) => {
    const { along: fy, across: fx } = laying.factor;
    const [girth, over, mouth] = [measure(m, 'girth'), measure(m, 'over'), measure(m, 'mouth')];
    const poles = polesOf(girth, over);
    const wide = girth / Math.PI;
    const finished = ellipse(wide, poles);
    // Each girth is laid longer by the factor of its own direction; the ball is the one that has both.
    const ball = { across: wide * fy, poles: polesOf(girth * fy, over * fx) };
    const isTooFlat = over * fx <= FLATTEST * girth * fy;
    const points = ellipse(ball.across, ball.poles);
    const woolMm2 = spheroidArea(ball.across, ball.poles);
    const outline = { points, open: points.map(() => false) };
    const [r, y] = [wide / 2, poles / 2];
    const top = ball.poles / 2;
    return {
      ...PLAIN,
      trouble: isTooFlat ? 'BALL_TOO_FLAT' : null,
      outlineIs: 'ball',
      finished,
      laid: outline,
      faces: [{ name: 'all around', outline, wool: [points], netMm2: woolMm2, woolMm2 }],
      gauges: [
        gaugeLine({ id: 'A', name: 'girth around the middle', axis: 'along', wanted: girth }, laying, [
          { x: -r * fy, y: 0 },
          { x: r * fy, y: 0 },
        ]),
        gaugeLine({ id: 'B', name: 'girth over the poles', axis: 'across', wanted: over }, laying, [
          { x: 0, y: -top },
          { x: 0, y: top },
        ]),
      ],
      handles: [
        { measure: 'girth', at: { x: r, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 * Math.PI },
        { measure: 'over', at: { x: 0, y }, towards: { x: 0, y: 1 }, rate: Math.PI },
      ],
      cuts:
        mouth > 0
          ? [
              {
                name: 'opening, at the top',
                line: [
                  { x: (-mouth / 2) * fy, y: -top },
                  { x: (mouth / 2) * fy, y: -top },
                ],
              },
            ]
          : [],
      finishedMm2: spheroidArea(wide, poles),
      facts: [
        { name: 'ball, width', value: ball.across, dimension: 'length', why: 'girth as laid ÷ π.' },
        {
          name: 'ball, pole to pole',
          value: ball.poles,
          dimension: 'length',
          why: 'The height at which a string over the poles is as long as given (ellipse, Ramanujan’s formula, from memory).',
        },
        {
          name: 'surface as laid',
          value: woolMm2 / 1e6,
          dimension: 'area',
          why: 'Surface of a spheroid; of a ball C²/π.',
        },
      ],
      hints: [
        'A balloon gives as the felt tightens: let air out little by little, and measure both girths.',
        'Cut a little at a time, at the prefelt stage, when the skin holds.',
      ],
      turned: { profile: ellipsoidProfile(poles, wide), mouth: 'up' },
      alongOnTable: 'right',
    };
  },
};
