import { capSpec, overCap } from '../cap';
import { type FormKind, lengthSpec, measure, type Measures, type ProfilePoint } from '../formKind';
import { planSolid } from '../solidBody';

const STEPS = 64;

/** A drop: the lower part of a ball, and a tip that runs out to a point where the two touch. */
const dropProfile = (m: Measures): ProfilePoint[] => {
  const [length, r] = [overCap(m, 'length'), overCap(m, 'width') / 2];
  // The cone from the tip touches the ball where cos β = r/(length − r).
  const reach = length - r;
  const beta = Math.acos(r / reach);
  const arc = Array.from({ length: STEPS + 1 }, (_, i) => {
    const angle = (Math.PI - beta) * (i / STEPS);
    return { z: r - r * Math.cos(angle), r: i === 0 ? 0 : r * Math.sin(angle) };
  });
  return [...arc, { z: length, r: 0 }];
};

/** Drop: round below, running out to a point. */
export const drop: FormKind = {
  kind: 'drop',
  title: 'Drop',
  purpose: 'a drop or spike end: round below, pointed above',
  group: 'solid',
  faces: 1,
  body: 'solid',
  size: { name: 'length', of: m => overCap(m, 'length') },
  laidName: 'Rolled dry',
  defaults: { length: 50, width: 26, over: 0 },
  usual: { thicknessMm: 26, firmness: 0.25, layers: 1, shrinkage: 0.3 },
  specs: () => [
    lengthSpec('length', 'Length', { hint: 'tip to bottom', min: 5, max: 800 }),
    lengthSpec('width', 'Width', { hint: 'at the widest', min: 4, max: 600 }),
    capSpec('drop'),
  ],
  objection: m => (measure(m, 'length') <= measure(m, 'width') ? 'A drop is longer than it is wide.' : null),
  plan: (m, laying) => {
    const [length, width] = [overCap(m, 'length'), overCap(m, 'width')];
    return planSolid(
      {
        profile: dropProfile(m),
        overAll: { along: length, across: width },
        gaugeNames: ['length', 'width'],
        alongOnTable: 'up',
        handles: [
          { measure: 'length', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          {
            measure: 'width',
            at: { x: width / 2 - length / 2, y: width / 2 },
            towards: { x: 0, y: 1 },
            rate: 2,
          },
        ],
      },
      laying,
    );
  },
};
