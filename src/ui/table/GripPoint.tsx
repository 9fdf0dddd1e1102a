import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Grip } from '../../drawing/scene';
import { useFrame } from './useFrame';
import { toScreen, type View } from './view';

/** What a grip changes: its value in stored units, its range, and how it is said. */
export interface GripControl {
  readonly label: string;
  readonly value: number;
  readonly text: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** Called while it moves; `done` at the end of a drag or for each key. */
  readonly set: (value: number, done: boolean) => void;
}

const ARROWS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

/** A place on the drawing that is dragged, or stepped with the arrow keys, to change a figure. */
export const GripPoint = (props: {
  readonly grip: Grip;
  readonly control: GripControl;
  readonly view: View;
  readonly onHold: (held: boolean) => void;
}) => {
  const { grip, control, view } = props;
  const start = useRef<{ x: number; y: number; value: number; last: number } | null>(null);
  const inFrame = useFrame();
  const at = toScreen(view, grip.at);
  const clamp = (v: number): number => Math.min(control.max, Math.max(control.min, v));
  const rounded = (v: number): number => clamp(Math.round(v / control.step) * control.step);

  const down = (e: PointerEvent<SVGGElement>): void => {
    e.currentTarget.setPointerCapture(e.pointerId);
    start.current = { x: e.clientX, y: e.clientY, value: control.value, last: control.value };
    props.onHold(true);
  };
  const move = (e: PointerEvent<SVGGElement>): void => {
    const s = start.current;
    if (!s) return;
    const mm = ((e.clientX - s.x) * grip.towards.x + (e.clientY - s.y) * grip.towards.y) / view.pxPerMm;
    const value = rounded(s.value + mm * grip.rate);
    if (value === s.last) return;
    s.last = value;
    inFrame(() => start.current === s && control.set(s.last, false));
  };
  const up = (): void => {
    const s = start.current;
    start.current = null;
    if (s && s.last !== s.value) control.set(s.last, true);
    props.onHold(false);
  };
  const key = (e: KeyboardEvent): void => {
    const steps = ARROWS[e.key];
    if (steps === undefined) return;
    e.preventDefault();
    control.set(rounded(control.value + steps * control.step * (e.shiftKey ? 10 : 1)), true);
  };

  const lies = Math.abs(grip.towards.x) > Math.abs(grip.towards.y);
  const isLaying = grip.target.startsWith('shrinkage') || grip.target === 'foldOver';
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={control.label}
      aria-valuenow={control.value}
      aria-valuemin={control.min}
      aria-valuemax={control.max}
      aria-valuetext={control.text}
      aria-orientation={lies ? 'horizontal' : 'vertical'}
      transform={`translate(${at.x} ${at.y})`}
      className={`touch-none ${lies ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
    >
      <circle r={14} className="fill-transparent" />
      {isLaying ? (
        <circle r={5.5} className="fill-soap stroke-laid" strokeWidth={2} />
      ) : (
        <rect x={-5.5} y={-5.5} width={11} height={11} className="fill-soap stroke-wanted" strokeWidth={2} />
      )}
    </g>
  );
};
