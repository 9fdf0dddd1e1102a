import type { Role } from '../drawing/scene';
import type { Template } from '../drawing/template';

/** Layer of each kind of line. Names are those that a cutter's software can switch off one by one. */
export const DXF_LAYERS: Readonly<
  Record<Role, { readonly layer: string; readonly colour: number; readonly dashed: boolean }>
> = {
  laid: { layer: 'OUTLINE', colour: 5, dashed: false },
  mouth: { layer: 'MOUTH', colour: 4, dashed: false },
  opening: { layer: 'OPENING', colour: 5, dashed: false },
  fold: { layer: 'FOLD', colour: 3, dashed: true },
  cut: { layer: 'CUT', colour: 7, dashed: true },
  gauge: { layer: 'GAUGE', colour: 8, dashed: false },
  wool: { layer: 'WOOL', colour: 8, dashed: false },
  wanted: { layer: 'WANTED', colour: 1, dashed: true },
  now: { layer: 'NOW', colour: 2, dashed: false },
  hardest: { layer: 'HARDEST', colour: 2, dashed: true },
};

const CHECK_MM = 100;
const DECIMALS = 4;
const NOTE_MM = 4;

type Pair = readonly [code: number, value: string | number];

const number = (v: number): string => {
  const fixed = v.toFixed(DECIMALS);
  return Number(fixed) === 0 ? '0.0' : fixed;
};
/** R12 knows ASCII only: other letters are written as \U+XXXX, as later readers understand them. */
const ascii = (text: string): string =>
  text
    .replaceAll('\n', ' ')
    .replaceAll(
      /[^ -~]/gu,
      c => `\\U+${(c.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`,
    );

const polyline = (layer: string, points: Template['shapes'][number]['points'], closed: boolean): Pair[] => [
  [0, 'POLYLINE'],
  [8, layer],
  [66, 1],
  [10, '0.0'],
  [20, '0.0'],
  [30, '0.0'],
  [70, closed ? 1 : 0],
  ...points.flatMap((p): Pair[] => [
    [0, 'VERTEX'],
    [8, layer],
    [10, number(p.x)],
    // The table counts downwards, a drawing upwards.
    [20, number(-p.y)],
    [30, '0.0'],
  ]),
  [0, 'SEQEND'],
  [8, layer],
];

const words = (text: string, at: { x: number; y: number; sizeMm: number }): Pair[] => [
  [0, 'TEXT'],
  [8, 'NOTES'],
  [10, number(at.x)],
  [20, number(-at.y)],
  [30, '0.0'],
  [40, number(at.sizeMm)],
  [1, ascii(text)],
];

const tables = (): Pair[] => {
  const layers = [
    ...Object.values(DXF_LAYERS),
    { layer: 'NOTES', colour: 7, dashed: false },
    { layer: 'CHECK', colour: 7, dashed: false },
  ];
  return [
    [0, 'SECTION'],
    [2, 'TABLES'],
    [0, 'TABLE'],
    [2, 'LTYPE'],
    [70, 2],
    [0, 'LTYPE'],
    [2, 'CONTINUOUS'],
    [70, 0],
    [3, 'Solid line'],
    [72, 65],
    [73, 0],
    [40, '0.0'],
    [0, 'LTYPE'],
    [2, 'DASHED'],
    [70, 0],
    [3, '__ __ __'],
    [72, 65],
    [73, 2],
    [40, '9.0'],
    [49, '6.0'],
    [49, '-3.0'],
    [0, 'ENDTAB'],
    [0, 'TABLE'],
    [2, 'LAYER'],
    [70, layers.length],
    ...layers.flatMap((l): Pair[] => [
      [0, 'LAYER'],
      [2, l.layer],
      [70, 0],
      [62, l.colour],
      [6, l.dashed ? 'DASHED' : 'CONTINUOUS'],
    ]),
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
  ];
};

/**
 * The template as DXF, release 12 (AC1009): one drawing unit is one millimetre, a layer for each kind of line, a
 * 100 mm check line below. Source: the group codes of DXF R12, from memory.
 */
export const templateDxf = (template: Template): string => {
  const { box } = template;
  const below = box.maxY + 12;
  const pairs: Pair[] = [
    [999, 'One drawing unit is one millimetre'],
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    [9, '$EXTMIN'],
    [10, number(box.minX)],
    [20, number(-below)],
    [30, '0.0'],
    [9, '$EXTMAX'],
    [10, number(Math.max(box.maxX, box.minX + CHECK_MM))],
    [20, number(-box.minY)],
    [30, '0.0'],
    [0, 'ENDSEC'],
    ...tables(),
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...template.shapes.flatMap(s => polyline(DXF_LAYERS[s.role].layer, s.points, s.closed)),
    ...template.words.flatMap(w => words(w.text, { ...w.at, sizeMm: w.sizeMm })),
    ...polyline(
      'CHECK',
      [
        { x: box.minX, y: below },
        { x: box.minX + CHECK_MM, y: below },
      ],
      false,
    ),
    ...[`${template.title}: the line above is 100 mm`, ...template.notes].flatMap((note, i) =>
      words(note, { x: box.minX, y: below + (i + 1) * NOTE_MM * 1.6, sizeMm: NOTE_MM }),
    ),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
  return `${pairs.map(([code, value]) => `${code}\r\n${value}`).join('\r\n')}\r\n`;
};
