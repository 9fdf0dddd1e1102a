import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { DrawnOutline } from '../../core/outline/drawn';
import { movePoint } from '../../core/outline/edit';
import type { Point } from '../../core/outline/polygon';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { useFrame } from '../../ui/table/useFrame';
import { toScreen, type View } from '../../ui/table/view';

/** How near a finger must come to take a point, px. */
const REACH_PX = 18;

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowRight: { x: 1, y: 0 },
  ArrowLeft: { x: -1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

export interface NodesProps {
  /** The outline as its points lie on the finished piece. */
  readonly drawn: DrawnOutline;
  readonly view: View;
  readonly chosen: number;
  readonly stepMm: number;
  readonly units: UnitSystem;
  /** Where the outline crosses itself at the moment, mm; null where it does not. */
  readonly crossing: Point | null;
  readonly onChoose: (i: number) => void;
  readonly onHold: (held: boolean) => void;
  readonly onChange: (drawn: DrawnOutline, done: boolean) => void;
}

/** Corners as squares and round points as circles, all as one path, so that a thousand are as quick as ten. */
const marks = (points: readonly Point[], round: boolean, drawn: DrawnOutline): string =>
  points
    .map((p, i) => {
      if (drawn.points[i]?.round !== round) return '';
      return round
        ? `M${p.x - 4.5} ${p.y}a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0 -9 0`
        : `M${p.x - 4} ${p.y - 4}h8v8h-8z`;
    })
    .join('');

/** The points of a drawn outline: dragged on the table, or moved with the arrow keys. */
export const OutlineNodes = (props: NodesProps) => {
  const { drawn, view, chosen, stepMm, units } = props;
  const held = useRef<{ i: number; from: Point; at: Point; last: DrawnOutline | null } | null>(null);
  const layer = useRef<SVGGElement>(null);
  const screen = drawn.points.map(p => toScreen(view, p));
  const inFrame = useFrame();
  const snap = (v: number): number => Math.round(v / stepMm) * stepMm;

  const place = (e: PointerEvent): Point => {
    const box = layer.current?.ownerSVGElement?.getBoundingClientRect();
    return { x: e.clientX - (box?.left ?? 0), y: e.clientY - (box?.top ?? 0) };
  };
  const down = (e: PointerEvent<SVGGElement>): void => {
    const at = place(e);
    const distances = screen.map(p => Math.hypot(p.x - at.x, p.y - at.y));
    const nearest = distances.indexOf(Math.min(...distances));
    const from = drawn.points[nearest];
    if (!from || (distances[nearest] ?? REACH_PX) > REACH_PX) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    props.onChoose(nearest);
    props.onHold(true);
    held.current = { i: nearest, from, at, last: null };
  };
  const move = (e: PointerEvent<SVGGElement>): void => {
    const h = held.current;
    if (!h) return;
    const at = place(e);
    const to = {
      x: snap(h.from.x + (at.x - h.at.x) / view.pxPerMm),
      y: snap(h.from.y + (at.y - h.at.y) / view.pxPerMm),
    };
    const was = h.last?.points[h.i] ?? h.from;
    if (to.x === was.x && to.y === was.y) return;
    h.last = movePoint(h.last ?? drawn, h.i, to);
    inFrame(() => h.last && held.current === h && props.onChange(h.last, false));
  };
  const up = (): void => {
    const h = held.current;
    held.current = null;
    if (h?.last) props.onChange(h.last, true);
    props.onHold(false);
  };
  const key = (e: KeyboardEvent): void => {
    const n = drawn.points.length;
    if (e.key === '[' || e.key === ']') {
      e.preventDefault();
      return props.onChoose((chosen + (e.key === ']' ? 1 : n - 1)) % n);
    }
    const way = ARROWS[e.key];
    const p = drawn.points[chosen];
    if (!way || !p) return;
    e.preventDefault();
    const by = stepMm * (e.shiftKey ? 10 : 1);
    props.onChange(movePoint(drawn, chosen, { x: p.x + way.x * by, y: p.y + way.y * by }), true);
  };

  const crossed = props.crossing && toScreen(view, props.crossing);
  const current = drawn.points[chosen];
  const at = screen[chosen];
  const next = screen[(chosen + 1) % screen.length];
  const where = current
    ? `${current.round ? 'round' : 'corner'}, ${showQuantity(current.x, 'length', units)} lengthwise, ${showQuantity(current.y, 'length', units)} crosswise`
    : '';
  return (
    <g
      ref={layer}
      role="slider"
      tabIndex={0}
      aria-label="Points of the outline"
      aria-valuemin={1}
      aria-valuemax={drawn.points.length}
      aria-valuenow={chosen + 1}
      aria-valuetext={`Point ${chosen + 1} of ${drawn.points.length}, ${where}`}
      className="cursor-move touch-none"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
    >
      <rect width={view.width} height={view.height} className="fill-transparent" />
      {at && next && (
        <path
          d={`M${at.x} ${at.y}L${next.x} ${next.y}`}
          className="stroke-wanted"
          strokeWidth={5}
          strokeOpacity={0.35}
        />
      )}
      <path d={marks(screen, false, drawn)} className="fill-soap stroke-wanted" strokeWidth={1.5} />
      <path d={marks(screen, true, drawn)} className="fill-soap stroke-wanted" strokeWidth={1.5} />
      {crossed && (
        <path
          d={`M${crossed.x - 12} ${crossed.y - 12}l24 24m0 -24l-24 24`}
          className="stroke-wanted"
          strokeWidth={4}
        />
      )}
      {at && <circle cx={at.x} cy={at.y} r={8} className="fill-wanted stroke-soap" strokeWidth={2} />}
    </g>
  );
};
