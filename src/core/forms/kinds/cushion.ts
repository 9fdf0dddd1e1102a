import { box } from '../../outline/shapes';
import { type FormKind, lengthSpec, measure, OUTSIDE } from '../formKind';
import { bothFaces, planEnvelope } from '../flatEnvelope';

/** Cushion: closed all round over a resist, and cut open along one edge or across the back when it is prefelt. */
export const cushion: FormKind = {
  kind: 'cushion',
  title: 'Cushion',
  purpose: 'a cushion cover, closed all around and cut open to be filled',
  group: 'home',
  faces: 2,
  body: 'sheet',
  size: { name: 'length', of: m => measure(m, 'length') },
  defaults: { length: 400, width: 400, cut: 300, where: 0 },
  usual: { thicknessMm: 4, firmness: 0.2, layers: 4 },
  specs: () => [
    lengthSpec('length', 'Length', { hint: 'along', min: 30, max: 2000, outside: OUTSIDE.across }),
    lengthSpec('width', 'Width', { hint: 'across', min: 30, max: 2000, outside: OUTSIDE.across }),
    lengthSpec('cut', 'Opening', { hint: 'length of the cut', min: 10, max: 2000 }),
    lengthSpec('where', 'Cut', {
      hint: 'where it is opened',
      min: 0,
      max: 1,
      scales: false,
      dimension: 'choice',
      options: [
        { value: 0, text: 'along an edge' },
        { value: 1, text: 'across the back' },
      ],
    }),
  ],
  fits: m => [
    { id: 'O', name: 'opening, along the cut', wanted: measure(m, 'cut'), axis: 'along', how: 'hole' },
  ],
  objection: m => (measure(m, 'cut') > measure(m, 'width') ? 'The opening is longer than the edge.' : null),
  plan: (m, laying) => {
    const [length, width, cut] = [measure(m, 'length'), measure(m, 'width'), measure(m, 'cut')];
    const outline = box(length, width);
    const x = measure(m, 'where') === 0 ? length / 2 : 0;
    return planEnvelope(
      {
        faces: bothFaces({ points: outline, open: outline.map(() => false) }),
        alongOnTable: 'right',
        gaugeNames: ['length', 'width'],
        cuts: [
          {
            name: x === 0 ? 'opening across the back, one side' : 'opening along the edge',
            line: [
              { x, y: -cut / 2 },
              { x, y: cut / 2 },
            ],
          },
        ],
        handles: [
          { measure: 'length', at: { x: length / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 },
          { measure: 'width', at: { x: 0, y: width / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
          { measure: 'cut', at: { x, y: cut / 2 }, towards: { x: 0, y: 1 }, rate: 2 },
        ],
      },
      laying,
    );
  },
};
