import { calmly } from '../calmly';
import { useGradually } from '../useGradually';
import { type ReactNode, startTransition, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Box } from '../../core/outline/polygon';
import type { UnitSystem } from '../../core/units/units';
import { svgPathData } from '../../drawing/pathSink';
import type { Role, Scene } from '../../drawing/scene';
import { type GripControl, GripPoint } from './GripPoint';
import { Ruler } from './Ruler';
import { type Hanger, hangOut } from './hangers';
import { fitView, toScreen, type View } from './view';

const useSize = () => {
  const ref = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const read = (): void => setSize({ width: element.clientWidth, height: element.clientHeight });
    read();
    const observer = new ResizeObserver(read);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, size };
};

/** The view stays still while a grip is held, so that the drawing does not run from under the finger. */
const useView = (box: Box, size: { width: number; height: number } | null) => {
  const [held, setHeld] = useState<View | null>(null);
  const fitted = useMemo(() => (size ? fitView(box, size) : null), [box, size]);
  // Drawn with what is changed by it: held with the first move, and fitted anew with the last.
  const hold = (on: boolean): void => startTransition(() => setHeld(on ? fitted : null));
  return { view: held ?? fitted, hold };
};

export interface TableProps {
  readonly scene: Scene;
  readonly units: UnitSystem;
  readonly label: string;
  readonly controlOf?: (target: string) => GripControl | null;
  readonly hangers?: readonly Hanger[];
  readonly showMarks?: boolean;
  /** Part of the table that must be in sight; the drawing when left out. */
  readonly box?: Box;
  readonly under?: (view: View) => ReactNode;
  /** Drawn over all else. `hold` keeps the view still while something is dragged. */
  readonly over?: (view: View, hold: (held: boolean) => void) => ReactNode;
  /** What a closed line is filled with; left out, with nothing. */
  readonly fillOf?: (role: Role) => string | undefined;
}

/** The table: the piece to scale, the ruler edge, the light grid, and what hangs off the drawing. */
export const Table = (props: TableProps) => {
  const { scene, units } = props;
  const { ref, size } = useSize();
  const { view, hold } = useView(props.box ?? scene.box, size);
  const ruled = useMemo(() => view && { view, zero: scene.box, units }, [view, scene.box, units]);
  // A frame after the drawing, whose scale is another when it was let go of.
  const ruler = useGradually(ruled, 2)(1);
  const showMarks = props.showMarks ?? true;
  const hung = view && props.hangers ? hangOut(props.hangers, view, props.box ?? scene.box) : [];
  return (
    <div ref={ref} className="relative h-full min-h-0 w-full overflow-hidden bg-table" data-testid="table">
      {view && (
        <svg width={view.width} height={view.height} role="group" aria-label={props.label} className="block">
          {ruler && <Ruler {...ruler} />}
          {props.under?.(view)}
          <g transform={`translate(${view.left} ${view.top}) scale(${view.pxPerMm})`}>
            {scene.shapes.map((s, i) => (
              <path
                key={`${s.role}${i}`}
                d={svgPathData(s.points, s.closed, 2)}
                className={`line line-${s.role}`}
                style={{ fill: props.fillOf?.(s.role) }}
                data-role={s.role}
              />
            ))}
          </g>
          {showMarks &&
            scene.marks.map(m => {
              const [a, b] = [toScreen(view, m.from), toScreen(view, m.to)];
              return (
                <g key={m.gauge.id}>
                  <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className="line line-gauge" />
                  <circle cx={a.x} cy={a.y} r={2.5} className="fill-chalk" />
                  <circle cx={b.x} cy={b.y} r={2.5} className="fill-chalk" />
                  <text
                    x={a.x + (b.x - a.x) * 0.2 + 6}
                    y={a.y + (b.y - a.y) * 0.2 - 6}
                    className="gauge-name fill-chalk text-[14px] font-semibold"
                  >
                    {m.gauge.id}
                  </text>
                </g>
              );
            })}
          {hung.map(h => (
            <path
              key={h.id}
              d={`M${h.from.x} ${h.from.y}L${h.edge} ${h.y}`}
              className="fill-none stroke-wanted"
              strokeWidth={1}
              strokeOpacity={0.6}
            />
          ))}
          {props.controlOf &&
            scene.grips.map((grip, i) => {
              const control = props.controlOf?.(grip.target);
              return control ? (
                <GripPoint
                  key={`${grip.target}${i}`}
                  grip={grip}
                  control={control}
                  view={view}
                  onHold={hold}
                />
              ) : null;
            })}
          {props.over?.(view, hold)}
        </svg>
      )}
      {hung.map(h => (
        <div
          key={h.id}
          className={`absolute top-0 left-0 z-10 -translate-y-1/2 ${h.side === 'left' ? '-translate-x-full' : ''}`}
          // Moved, not laid out anew, while something is dragged.
          style={{ transform: `translate(${Math.round(h.edge)}px, ${Math.round(h.y)}px)` }}
        >
          {h.node}
        </div>
      ))}
    </div>
  );
};

/** The same where it has no handles: it is drawn after what was typed or chosen beside it. */
export const CalmTable = calmly(Table);
