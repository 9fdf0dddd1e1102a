import { capSpec, overCap } from '../cap';
import { type FormKind, lengthSpec, measure, type Measures, type ProfilePoint } from '../formKind';
import { ellipsoidProfile, planSolid } from '../solidBody';

const STEPS = 96;

/**
 * An egg: an ellipse whose widest place is moved towards one end. Bean and bullet shapes have none of that.
 * @param lean share of the half length by which the widest place is moved, 0 for an ellipse
 */
const eggProfile = (m: Measures): ProfilePoint[] => {
  const [length, width, lean] = [overCap(m, 'length'), overCap(m, 'width'), measure(m, 'lean')];
  if (lean === 0) return ellipsoidProfile(length, width);
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const angle = (Math.PI * i) / STEPS;
    const along = -Math.cos(angle);
    const ends = i === 0 || i === STEPS;
    // Hügelschäffer's construction: two circles whose centres lie apart (from memory).
    return {
      z: (length / 2) * along,
      r: ends ? 0 : ((width / 2) * Math.sin(angle)) / Math.sqrt(1 + lean * lean + 2 * lean * along),
    };
  });
};

/** Egg or bean: longer than wide, its widest place moved towards one end. */
export const egg: FormKind = {
  kind: 'egg',
  title: 'Egg',
  purpose: 'an egg, a bean, a pebble: longer than wide',
  group: 'solid',
  faces: 1,
  body: 'solid',
  size: { name: 'length', of: m => overCap(m, 'length') },
  laidName: 'Rolled dry',
  defaults: { length: 60, width: 44, lean: 0.15, over: 0 },
  usual: { thicknessMm: 44, firmness: 0.22, layers: 1, shrinkage: 0.3 },
  specs: () => [
    lengthSpec('length', 'Length', { hint: 'end to end', min: 5, max: 800 }),
    lengthSpec('width', 'Width', { hint: 'at the widest', min: 4, max: 600 }),
    capSpec('egg'),
    {
      id: 'lean',
      label: 'Pointed',
      hint: 'how much one end is slimmer, 0 for a bean',
      min: 0,
      max: 0.4,
      scales: false,
      dimension: 'share',
    },
  ],
  objection: () => null,
  plan: (m, laying) => {
    const [length, width] = [overCap(m, 'length'), overCap(m, 'width')];
    return planSolid(
      {
        profile: eggProfile(m),
        overAll: { along: length, across: width },
        gaugeNames: ['length', 'width'],
        handles: [
          { measure: 'length', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'width', at: { x: 0, y: width / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
        more: {
          hints: [
            'Wrap it long from the start: a ball rolled one way only turns into a sausage with a seam.',
            'Ears, mouths and slits are cut when it is dry: wet felt frays and closes again.',
          ],
        },
      },
      laying,
    );
  },
};
