import type { Polygon } from '../outline/polygon';
import { type FormKind, measure } from './formKind';
import { planFlat } from './flat';

/** Enough sides for the area to be right to 1 in 10 000. */
const SIDES = 256;

/** Ellipse of 256 sides with the area of the true ellipse, so that grams are not short by the corners. */
const ellipse = (lengthwise: number, crosswise: number): Polygon => {
  const turn = (2 * Math.PI) / SIDES;
  const grow = Math.sqrt(turn / Math.sin(turn));
  return Array.from({ length: SIDES }, (_, i) => ({
    x: (lengthwise / 2) * grow * Math.cos(i * turn),
    y: (crosswise / 2) * grow * Math.sin(i * turn),
  }));
};

/** Disc: round pad, lid, coaster. It is laid as an ellipse where the two directions shrink differently. */
export const disc: FormKind = {
  kind: 'disc',
  title: 'Flat disc',
  purpose: 'round seat pad, lid, stand',
  faces: 1,
  reference: () => 'diameter',
  defaults: { diameter: 400, strip: 0 },
  usual: { thicknessMm: 8, firmness: 0.25, layers: 6 },
  specs: () => [
    { id: 'diameter', label: 'Diameter', hint: 'across the middle', min: 10, max: 5000, scales: true },
    { id: 'strip', label: 'Folded-in edge', hint: 'as laid, 0 for none', min: 0, max: 100, scales: false },
  ],
  objection: () => null,
  plan: (measures, laying) => {
    const diameter = measure(measures, 'diameter');
    return planFlat(
      {
        finished: ellipse(diameter, diameter),
        length: diameter,
        width: diameter,
        strip: measure(measures, 'strip'),
        withStrip: (_, strip) =>
          ellipse(diameter * laying.factor.along + 2 * strip, diameter * laying.factor.across + 2 * strip),
        handles: [
          { measure: 'diameter', at: { x: diameter / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'diameter', at: { x: 0, y: diameter / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
