import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import type { Turned } from '../../core/forms/formKind';
import { boundsOf } from '../../core/outline/polygon';
import { type Facet, turnedFacets, type ViewAngle } from '../../drawing/turned';

const TILT_DEG = 24;
const START_DEG = 35;
const KEY_STEP_DEG = 15;
const DEG_PER_PX = 0.8;
const AROUND_PX = 6;

/** A channel of a colour darkened by a shade, above a floor that keeps dark wools readable. */
const shaded = (colour: string, shade: number): string => {
  const channel = (from: number): number =>
    Math.round((Number.parseInt(colour.slice(from, from + 2), 16) * 0.85 + 28) * shade);
  return `rgb(${channel(1)} ${channel(3)} ${channel(5)})`;
};

/** The line where an edge of the resist lay: it shows how the form is turned. */
const edgeLine = (
  context: CanvasRenderingContext2D,
  of: { readonly corners: Facet['corners']; readonly ink: string; readonly width: number },
): void => {
  const [from, , , to] = of.corners;
  const was = context.lineWidth;
  context.beginPath();
  context.moveTo(from.x, from.y);
  context.lineTo(to.x, to.y);
  context.strokeStyle = of.ink;
  context.lineWidth = of.width;
  context.stroke();
  context.lineWidth = was;
};

const draw = (canvas: HTMLCanvasElement, of: TurningProps & Pick<ViewAngle, 'turnDeg' | 'detail'>): void => {
  const context = canvas.getContext('2d');
  if (!context) return;
  const ratio = window.devicePixelRatio || 1;
  const size = of.sizePx;
  canvas.width = size * ratio;
  canvas.height = size * ratio;
  const { turnDeg, detail = 'fine' } = of;
  const facets = turnedFacets(of.turned, { turnDeg, tiltDeg: TILT_DEG, detail });
  const box = boundsOf(facets.flatMap(f => f.corners));
  const scale = (size - 2 * AROUND_PX) / Math.max(box.maxX - box.minX, box.maxY - box.minY, 1e-9);
  context.setTransform(ratio * scale, 0, 0, ratio * scale, (ratio * size) / 2, (ratio * size) / 2);
  context.translate(-(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2);
  context.lineWidth = 0.7 / scale;
  for (const { corners, shade, isEdge } of facets) {
    const [first, ...rest] = corners;
    context.beginPath();
    context.moveTo(first.x, first.y);
    for (const p of rest) context.lineTo(p.x, p.y);
    context.closePath();
    const fill = shaded(of.colour, shade);
    context.fillStyle = fill;
    context.strokeStyle = fill;
    context.fill();
    context.stroke();
    if (isEdge) edgeLine(context, { corners, ink: shaded(of.colour, shade * 0.6), width: 1.6 / scale });
  }
};

export interface TurningProps {
  readonly turned: Turned;
  /** Colour of the wool, #rrggbb. */
  readonly colour: string;
  readonly sizePx: number;
}

/** A still picture of a turned form. */
export const TurnedPicture = ({ turned, colour, sizePx }: TurningProps) => {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (ref.current) draw(ref.current, { turned, colour, sizePx, turnDeg: START_DEG, detail: 'small' });
  }, [turned, colour, sizePx]);
  return <canvas ref={ref} aria-hidden="true" style={{ width: sizePx, height: sizePx }} />;
};

/** The finished form, shaded: dragged, or turned with the arrow keys. Darker lines show where the resist's edges lay. */
export const Turning = (props: TurningProps & { readonly label: string }) => {
  const ref = useRef<HTMLCanvasElement>(null);
  const held = useRef<{ x: number; turn: number } | null>(null);
  const [turnDeg, setTurn] = useState(START_DEG);
  useEffect(() => {
    if (ref.current) draw(ref.current, { ...props, turnDeg });
  });
  const down = (e: PointerEvent<HTMLCanvasElement>): void => {
    e.currentTarget.setPointerCapture(e.pointerId);
    held.current = { x: e.clientX, turn: turnDeg };
  };
  const move = (e: PointerEvent): void => {
    if (held.current) setTurn(held.current.turn + (e.clientX - held.current.x) * DEG_PER_PX);
  };
  const up = (): void => {
    held.current = null;
  };
  const key = (e: KeyboardEvent): void => {
    const way = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
    if (way === 0) return;
    e.preventDefault();
    setTurn(t => t + way * KEY_STEP_DEG);
  };
  const shown = ((Math.round(turnDeg) % 360) + 360) % 360;
  return (
    <canvas
      ref={ref}
      role="slider"
      tabIndex={0}
      aria-label={props.label}
      aria-valuemin={0}
      aria-valuemax={359}
      aria-valuenow={shown}
      aria-valuetext={`turned ${shown} degrees`}
      className="cursor-grab touch-none rounded-bench active:cursor-grabbing"
      style={{ width: props.sizePx, height: props.sizePx }}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
    />
  );
};
