import { box } from '../../outline/shapes';
import {
  type FormKind,
  lengthSpec,
  measure,
  type Measures,
  type MeasureSpec,
  type NamedLine,
} from '../formKind';
import { planEnvelope } from '../flatEnvelope';
import { FOLLOWS, settleGrid } from '../gridSum';

/** Whether the measures are those of the finished panel or of the resist as it is cut. */
const AS = { finished: 0, cut: 1 } as const;

const isAsCut = (m: Measures): boolean => measure(m, 'as') === AS.cut;

const cuts = (m: Measures, scale: { x: number; y: number }): NamedLine[] => {
  const lines = (axis: 'long' | 'wide'): number[] => {
    const [n, cell] = [measure(m, `${axis}Cells`), measure(m, `${axis}Cell`)];
    const [bar, border, outer] = [measure(m, 'bar'), measure(m, 'border'), measure(m, axis)];
    return Array.from(
      { length: Math.max(0, Math.round(n) - 1) },
      (_, i) => border + (i + 1) * cell + (i + 0.5) * bar - outer / 2,
    );
  };
  const [reachX, reachY] = [
    measure(m, 'long') / 2 - measure(m, 'border'),
    measure(m, 'wide') / 2 - measure(m, 'border'),
  ];
  const at = (x: number, y: number) => ({ x: x * scale.x, y: y * scale.y });
  return [
    ...lines('long').map((x, i) => ({
      name: `bar ${i + 1} lengthwise, upper sheet`,
      line: [at(x, -reachY), at(x, reachY)],
    })),
    ...lines('wide').map((y, i) => ({
      name: `bar ${i + 1} crosswise, upper sheet`,
      line: [at(-reachX, y), at(reachX, y)],
    })),
  ];
};

/** The cells, as they are cut out of the grid. */
const cells = (m: Measures, scale: { x: number; y: number }): NamedLine[] => {
  const [nx, ny] = [Math.round(measure(m, 'longCells')), Math.round(measure(m, 'wideCells'))];
  const [cx, cy] = [measure(m, 'longCell'), measure(m, 'wideCell')];
  const [bar, border] = [measure(m, 'bar'), measure(m, 'border')];
  return Array.from({ length: nx * ny }, (_, k) => {
    const [i, j] = [k % nx, Math.floor(k / nx)];
    const x = border + i * (cx + bar) + cx / 2 - measure(m, 'long') / 2;
    const y = border + j * (cy + bar) + cy / 2 - measure(m, 'wide') / 2;
    return {
      name: `cell ${k + 1}`,
      closed: true,
      line: box(cx * scale.x, cy * scale.y).map(p => ({ x: p.x + x * scale.x, y: p.y + y * scale.y })),
    };
  });
};

const choice = (
  id: string,
  label: string,
  of: Pick<MeasureSpec, 'hint' | 'options' | 'max'>,
): MeasureSpec => ({
  ...of,
  id,
  label,
  min: 0,
  scales: false,
  dimension: 'choice',
});

/** Relief panel: two sheets felted together through the cells of a grid, cut open along its bars. */
export const gridRelief: FormKind = {
  kind: 'grid-relief',
  title: 'Relief panel',
  purpose: 'two sheets with a grid between them, cut open into a relief',
  group: 'home',
  ways: ['grid'],
  faces: 2,
  body: 'sheet',
  size: {
    name: 'length',
    of: (m, factor) => measure(m, 'long') / (isAsCut(m) ? factor : 1),
    asLaid: m => isAsCut(m),
  },
  laidName: 'Grid, length',
  defaults: {
    long: 420,
    wide: 330,
    longCells: 5,
    wideCells: 4,
    longCell: 67.2,
    wideCell: 64.5,
    bar: 12,
    border: 18,
    follows: FOLLOWS.cells,
    as: AS.cut,
  },
  usual: { thicknessMm: 3, firmness: 0.2, layers: 4, shrinkage: 0.3, foldOverMm: 0 },
  settle: settleGrid,
  specs: m => {
    const follows = (which: number): { follows: boolean } => ({ follows: measure(m, 'follows') === which });
    const count = { min: 1, max: 60, scales: false, dimension: 'count' as const };
    return [
      lengthSpec('long', 'Length', {
        hint: 'outer, lengthwise',
        min: 20,
        max: 5000,
        ...follows(FOLLOWS.outer),
      }),
      lengthSpec('wide', 'Width', {
        hint: 'outer, crosswise',
        min: 20,
        max: 5000,
        ...follows(FOLLOWS.outer),
      }),
      lengthSpec('longCells', 'Cells lengthwise', { hint: 'how many', ...count }),
      lengthSpec('wideCells', 'Cells crosswise', { hint: 'how many', ...count }),
      lengthSpec('longCell', 'Cell, lengthwise', {
        hint: 'opening',
        min: 1,
        max: 2000,
        ...follows(FOLLOWS.cells),
      }),
      lengthSpec('wideCell', 'Cell, crosswise', {
        hint: 'opening',
        min: 1,
        max: 2000,
        ...follows(FOLLOWS.cells),
      }),
      lengthSpec('bar', 'Bars', { hint: 'between two cells', min: 0.5, max: 500, ...follows(FOLLOWS.bar) }),
      lengthSpec('border', 'Border', {
        hint: 'around the outside',
        min: 0,
        max: 1000,
        ...follows(FOLLOWS.border),
      }),
      choice('follows', 'Worked out', {
        hint: 'which figure is worked out from the others',
        max: 3,
        options: [
          { value: FOLLOWS.cells, text: 'cells' },
          { value: FOLLOWS.outer, text: 'outer size' },
          { value: FOLLOWS.bar, text: 'bars' },
          { value: FOLLOWS.border, text: 'border' },
        ],
      }),
      choice('as', 'Measures of', {
        hint: 'the resist as it is cut, or the finished panel',
        max: 1,
        options: [
          { value: AS.cut, text: 'the grid, as cut' },
          { value: AS.finished, text: 'the panel, finished' },
        ],
      }),
    ];
  },
  objection: m => {
    for (const axis of ['long', 'wide'] as const) {
      const [n, cell] = [measure(m, `${axis}Cells`), measure(m, `${axis}Cell`)];
      const sum = n * cell + (n - 1) * measure(m, 'bar') + 2 * measure(m, 'border');
      if (Math.abs(sum - measure(m, axis)) > 0.5)
        return `Cells, bars and border make ${(sum / 10).toFixed(1)} cm ${axis === 'long' ? 'along' : 'across'}, and the outer size is ${(measure(m, axis) / 10).toFixed(1)} cm: bars and border are one figure both ways.`;
    }
    return null;
  },
  plan: (m, laying) => {
    const asCut = isAsCut(m);
    const { along, across } = laying.factor;
    const shrunk = asCut ? { x: 1 / along, y: 1 / across } : { x: 1, y: 1 };
    const cut = asCut ? { x: 1, y: 1 } : { x: along, y: across };
    const [long, wide] = [measure(m, 'long') * shrunk.x, measure(m, 'wide') * shrunk.y];
    const outline = box(long, wide);
    // The sheets end with the panel: nothing is folded round the grid.
    const sheet = { points: outline, open: outline.map(() => true) };
    const [longCell, wideCell] = [measure(m, 'longCell'), measure(m, 'wideCell')];
    const n = Math.round(measure(m, 'longCells')) * Math.round(measure(m, 'wideCells'));
    const atHandle = asCut ? { x: along, y: across } : { x: 1, y: 1 };
    return planEnvelope(
      {
        faces: [
          { name: 'under sheet', outline: sheet },
          { name: 'upper sheet', outline: sheet },
        ],
        alongOnTable: 'right',
        gaugeNames: ['length', 'width'],
        cuts: cuts(m, shrunk),
        openings: cells(m, shrunk),
        handles: [
          { measure: 'long', at: { x: long / 2, y: 0 }, towards: { x: 1, y: 0 }, rate: 2 * atHandle.x },
          { measure: 'wide', at: { x: 0, y: wide / 2 }, towards: { x: 0, y: 1 }, rate: 2 * atHandle.y },
        ],
        more: {
          facts: [
            {
              name: 'cell as cut, lengthwise',
              value: longCell * cut.x,
              dimension: 'length',
              why: 'The opening in the grid.',
            },
            {
              name: 'cell as cut, crosswise',
              value: wideCell * cut.y,
              dimension: 'length',
              why: 'The opening in the grid.',
            },
            {
              name: 'cell finished, lengthwise',
              value: longCell * shrunk.x,
              dimension: 'length',
              why: 'The opening × (1 − s lengthwise).',
            },
            {
              name: 'cell finished, crosswise',
              value: wideCell * shrunk.y,
              dimension: 'length',
              why: 'The opening × (1 − s crosswise).',
            },
            {
              name: 'felted together',
              value: (n * longCell * wideCell) / (measure(m, 'long') * measure(m, 'wide')),
              dimension: 'share',
              why: 'Area of the cells ÷ area of the grid: where the two sheets become one.',
            },
          ],
          hints: ['Cut the upper sheet down the middle of each bar, a little at a time, not into the grid.'],
        },
      },
      laying,
    );
  },
};
