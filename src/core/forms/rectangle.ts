import type { Polygon } from '../outline/polygon';
import { type FormKind, measure } from './formKind';
import { planFlat } from './flat';

const box = (length: number, width: number): Polygon => [
  { x: -length / 2, y: -width / 2 },
  { x: length / 2, y: -width / 2 },
  { x: length / 2, y: width / 2 },
  { x: -length / 2, y: width / 2 },
];

/** Rectangle: seat pad, lamp band, mat, panel. */
export const rectangle: FormKind = {
  kind: 'rectangle',
  title: 'Flat rectangle',
  purpose: 'seat pad, lamp band, mat, panel',
  faces: 1,
  reference: () => 'length',
  defaults: { length: 400, width: 300, strip: 0 },
  usual: { thicknessMm: 5, firmness: 0.2, layers: 4 },
  specs: () => [
    { id: 'length', label: 'Length', hint: 'along', min: 10, max: 5000, scales: true },
    { id: 'width', label: 'Width', hint: 'across', min: 10, max: 5000, scales: true },
    { id: 'strip', label: 'Folded-in edge', hint: 'as laid, 0 for none', min: 0, max: 100, scales: false },
  ],
  objection: () => null,
  plan: (measures, laying) => {
    const length = measure(measures, 'length');
    const width = measure(measures, 'width');
    return planFlat(
      {
        finished: box(length, width),
        length,
        width,
        strip: measure(measures, 'strip'),
        withStrip: (_, strip) =>
          box(length * laying.factor.along + 2 * strip, width * laying.factor.across + 2 * strip),
        handles: [
          { measure: 'length', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'width', at: { x: 0, y: width / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
