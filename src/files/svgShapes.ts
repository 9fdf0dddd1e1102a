import { svgLengthPx } from './svgUnits';

export type Attributes = Readonly<Record<string, string>>;

const n = (v: number): string => String(v);

const rect = (a: Attributes): string | null => {
  const [x, y] = [svgLengthPx(a['x']), svgLengthPx(a['y'])];
  const [w, h] = [svgLengthPx(a['width']), svgLengthPx(a['height'])];
  if (!(w > 0 && h > 0)) return null;
  const rx = Math.min(w / 2, svgLengthPx(a['rx'] ?? a['ry']));
  const ry = Math.min(h / 2, svgLengthPx(a['ry'] ?? a['rx']));
  if (!(rx > 0 && ry > 0)) return `M${n(x)} ${n(y)}h${n(w)}v${n(h)}h${n(-w)}z`;
  const arc = (dx: number, dy: number): string => `a${n(rx)} ${n(ry)} 0 0 1 ${n(dx)} ${n(dy)}`;
  return [
    `M${n(x + rx)} ${n(y)}h${n(w - 2 * rx)}${arc(rx, ry)}v${n(h - 2 * ry)}${arc(-rx, ry)}`,
    `h${n(2 * rx - w)}${arc(-rx, -ry)}v${n(2 * ry - h)}${arc(rx, -ry)}z`,
  ].join('');
};

const ellipse = (a: Attributes, rx: number, ry: number): string | null => {
  const [x, y] = [svgLengthPx(a['cx']), svgLengthPx(a['cy'])];
  if (!(rx > 0 && ry > 0)) return null;
  return `M${n(x - rx)} ${n(y)}a${n(rx)} ${n(ry)} 0 1 0 ${n(2 * rx)} 0a${n(rx)} ${n(ry)} 0 1 0 ${n(-2 * rx)} 0z`;
};

const poly = (a: Attributes, closed: boolean): string | null => {
  const numbers = (a['points'] ?? '').trim();
  return numbers === '' ? null : `M${numbers}${closed ? 'z' : ''}`;
};

/**
 * Path data of a basic shape. Source: SVG 1.1, chapter 9, from memory.
 * @param name element name without prefix
 * @returns null for what is no shape, or has no extent
 */
export const shapePath = (name: string, a: Attributes): string | null => {
  switch (name) {
    case 'path':
      return a['d'] ?? null;
    case 'rect':
      return rect(a);
    case 'circle':
      return ellipse(a, svgLengthPx(a['r']), svgLengthPx(a['r']));
    case 'ellipse':
      return ellipse(a, svgLengthPx(a['rx']), svgLengthPx(a['ry']));
    case 'polygon':
      return poly(a, true);
    case 'polyline':
      return poly(a, false);
    default:
      return null;
  }
};
