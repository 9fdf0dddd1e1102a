import { planOnDisc, roundCut } from '../discResist';
import { type FormKind, lengthSpec, measure, type Measures, type ProfilePoint } from '../formKind';
import { smoothProfile } from '../profile';
import { HEAD_SIZES } from '../sizeTables';
import { ellipseGirth } from '../spheroidArea';

const discOf = (m: Measures): number => measure(m, 'diameter') + measure(m, 'rise');
/** Finished girth of the hole: it is cut smaller than the head and gives. */
const holeGirth = (m: Measures): number => measure(m, 'head') * (1 - measure(m, 'give'));

/** A beret as it is worn, for the eye: a low dome, its side turned in under to the head. */
const sideOf = (r: number, rise: number, inner: number): ProfilePoint[] =>
  smoothProfile([
    { z: 0, r: 0, round: false },
    { z: r * 0.04, r: r * 0.55, round: true },
    { z: r * 0.14, r: r * 0.92, round: true },
    { z: r * 0.2 + rise / 2, r, round: true },
    { z: r * 0.24 + rise, r: (r + inner) / 2, round: true },
    { z: r * 0.26 + rise, r: inner, round: false },
  ]);

/** Beret on a disc resist: the head’s hole is cut in one face, and stretched. */
export const beret: FormKind = {
  kind: 'beret',
  title: 'Beret',
  purpose: 'a flat cap on a disc, sized by the girth of the head',
  group: 'wear',
  ways: ['hands', 'bundle'],
  faces: 2,
  body: 'sheet',
  size: { name: 'disc', of: discOf },
  laidName: 'Disc resist',
  defaults: { head: 570, diameter: 260, rise: 20, give: 0.05 },
  usual: { thicknessMm: 2.5, firmness: 0.18, layers: 4, shrinkage: 0.28 },
  specs: () => [
    lengthSpec('diameter', 'Diameter', { hint: 'lying flat', min: 100, max: 600 }),
    lengthSpec('rise', 'Rise', { hint: 'height of the side', min: 0, max: 200 }),
    lengthSpec('head', 'Head girth', { hint: 'where it sits', min: 250, max: 700, table: HEAD_SIZES }),
    {
      id: 'give',
      label: 'Give',
      hint: 'how much smaller than the head the hole is cut (common practice)',
      min: 0,
      max: 0.3,
      scales: false,
      dimension: 'share',
      allowance: true,
    },
  ],
  fits: m => [
    { id: 'H', name: 'head opening, around the inside', wanted: holeGirth(m), axis: 'both', how: 'hole' },
    {
      id: 'F',
      name: 'head opening, drawn over a fist',
      wanted: measure(m, 'head'),
      axis: 'both',
      how: 'drawn-over',
    },
  ],
  objection: m =>
    holeGirth(m) / Math.PI > measure(m, 'diameter') * 0.95
      ? 'The hole is as wide as the beret: make it wider.'
      : null,
  plan: (m, laying) => {
    const diameter = discOf(m);
    const hole = holeGirth(m) / Math.PI;
    const [r, rise, inner] = [measure(m, 'diameter') / 2, measure(m, 'rise'), hole / 2];
    return planOnDisc(
      {
        diameter,
        cuts: [roundCut('hole for the head, one side only', hole)],
        edgeBecomes: Math.PI * measure(m, 'diameter'),
        turned: { profile: sideOf(r, rise, inner), mouth: 'down' },
        handles: [
          { measure: 'diameter', at: { x: diameter / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          {
            measure: 'head',
            at: { x: 0, y: hole / 2 },
            towards: { x: 0, y: 1 },
            rate: (2 * Math.PI) / (1 - measure(m, 'give')),
          },
        ],
        facts: [
          {
            name: 'hole girth as laid',
            value: ellipseGirth(hole * laying.factor.along, hole * laying.factor.across),
            dimension: 'length',
            why: 'f × head girth × (1 − give); where the two directions shrink differently it is laid oval.',
          },
        ],
        hints: ['Cut the hole small and widen it bit by bit: you cannot make it smaller again.'],
      },
      laying,
    );
  },
};
