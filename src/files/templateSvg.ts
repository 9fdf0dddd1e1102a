import { LINE_LOOK } from '../drawing/lineLook';
import { svgPathData } from '../drawing/pathSink';
import type { Template } from '../drawing/template';
import { xmlText } from './xmlText';

const CHECK_MM = 100;
const AROUND_MM = 10;
const FOOT_MM = 38;
const round = (v: number): number => Number(v.toFixed(3));

/** The template as SVG: 1 user unit is 1 mm, the page is as large as the drawing, with a 100 mm check ruler below. */
export const templateSvg = (template: Template): string => {
  const { box } = template;
  const left = round(box.minX - AROUND_MM);
  const top = round(box.minY - AROUND_MM);
  const width = round(Math.max(box.maxX - box.minX, CHECK_MM) + 2 * AROUND_MM);
  const height = round(box.maxY - box.minY + 2 * AROUND_MM + FOOT_MM);
  const paths = template.shapes.map(s => {
    const look = LINE_LOOK[s.role];
    const dash = look.dashMm.length > 0 ? ` stroke-dasharray="${look.dashMm.join(' ')}"` : '';
    return `<path data-role="${s.role}" d="${svgPathData(s.points, s.closed, 3)}" fill="none" stroke="${look.ink}" stroke-width="${look.weightMm}"${dash}/>`;
  });
  const words = template.words.map(
    w =>
      `<text x="${round(w.at.x)}" y="${round(w.at.y)}" font-size="${w.sizeMm}" fill="#222">${xmlText(w.text)}</text>`,
  );
  const rulerY = round(box.maxY + AROUND_MM + 6);
  const x0 = round(box.minX);
  const ticks = Array.from({ length: 11 }, (_, i) => `M${round(x0 + i * 10)} ${rulerY - 2}v4`).join('');
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="${left} ${top} ${width} ${height}" font-family="sans-serif">`,
    `<title>${xmlText(template.title)}</title>`,
    ...paths,
    ...words,
    `<path id="check-100-mm" d="M${x0} ${rulerY}h${CHECK_MM}" stroke="#000" stroke-width="0.3" fill="none"/>`,
    `<path d="${ticks}" stroke="#000" stroke-width="0.3" fill="none"/>`,
    `<text x="${x0}" y="${round(rulerY + 8)}" font-size="4">This line is 100 mm long. If not, print again at 100 %.</text>`,
    ...template.notes.map(
      (note, i) => `<text x="${x0}" y="${round(rulerY + 14 + i * 6)}" font-size="4">${xmlText(note)}</text>`,
    ),
    '</svg>',
    '',
  ].join('\n');
};
