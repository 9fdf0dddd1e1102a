import type { Point } from '../core/outline/polygon';

/** Where geometry is written to. Exact until here; a sink rounds as its medium needs. */
export interface PathSink {
  readonly moveTo: (x: number, y: number) => void;
  readonly lineTo: (x: number, y: number) => void;
  readonly closePath: () => void;
}

/** Sends points to a sink as one line, closed or open. */
export const drawPoints = (sink: PathSink, points: readonly Point[], closed: boolean): void => {
  const [first, ...rest] = points;
  if (!first) return;
  sink.moveTo(first.x, first.y);
  for (const p of rest) sink.lineTo(p.x, p.y);
  if (closed) sink.closePath();
};

/** Path data for SVG, rounded to `places` decimals. */
export const svgPathData = (points: readonly Point[], closed: boolean, places: number): string => {
  const parts: string[] = [];
  const unit = 10 ** places;
  const n = (v: number): string => String(Math.round(v * unit) / unit);
  drawPoints(
    {
      moveTo: (x, y) => parts.push(`M${n(x)} ${n(y)}`),
      lineTo: (x, y) => parts.push(`L${n(x)} ${n(y)}`),
      closePath: () => parts.push('Z'),
    },
    points,
    closed,
  );
  return parts.join('');
};
