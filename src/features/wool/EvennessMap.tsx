import { useEffect, useRef } from 'react';
import { HOLE, THIN } from '../../core/evenness/evenness';
import type { Field } from '../../core/evenness/field';
import { toScreen, type View } from '../../ui/table/view';

/** The darkest: this many times the plan. */
const MOST = 1.8;
const THIN_INK = [196, 40, 64] as const;

/** The ink of the theme, as the canvas inherits it. */
const inkOf = (canvas: HTMLCanvasElement): readonly number[] =>
  getComputedStyle(canvas)
    .color.match(/[\d.]+/g)
    ?.map(Number) ?? [0, 0, 0];

/** Puts the field into a picture, a pixel to a cell: thicker is stronger; thin places are striped, holes are full. */
const paint = (canvas: HTMLCanvasElement, field: Field, plannedGsm: number): void => {
  const { columns, rows, gsm, inside } = field;
  const context = canvas.getContext('2d');
  if (!context) return;
  const [r = 0, g = 0, b = 0] = inkOf(canvas);
  const image = context.createImageData(columns, rows);
  gsm.forEach((value, cell) => {
    if (inside[cell] === 0) return;
    const share = value / plannedGsm;
    const striped = ((cell % columns) + Math.floor(cell / columns)) % 3 === 0;
    const alpha =
      share < HOLE ? 1 : share < THIN ? (striped ? 0.9 : 0.25) : 0.08 + 0.72 * Math.min(1, share / MOST);
    const ink = share < THIN ? THIN_INK : [r, g, b];
    image.data.set([...ink, Math.round(255 * alpha)], 4 * cell);
  });
  context.putImageData(image, 0, 0);
};

/** A simulated layout on the table, to scale, as it would look against the light. */
export const EvennessMap = (props: {
  readonly field: Field;
  readonly plannedGsm: number;
  readonly view: View;
  readonly label: string;
}) => {
  const { field, plannedGsm, view } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current) paint(canvas.current, field, plannedGsm);
  }, [field, plannedGsm]);
  const at = toScreen(view, { x: field.left, y: field.top });
  const [width, height] = [field.columns, field.rows].map(n => n * field.cellMm * view.pxPerMm);
  return (
    <foreignObject x={at.x} y={at.y} width={width ?? 0} height={height ?? 0}>
      <canvas
        ref={canvas}
        width={field.columns}
        height={field.rows}
        role="img"
        aria-label={props.label}
        className="size-full text-ink [image-rendering:pixelated]"
      />
    </foreignObject>
  );
};
