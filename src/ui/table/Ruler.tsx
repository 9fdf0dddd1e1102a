import type { Box } from '../../core/outline/polygon';
import type { UnitSystem } from '../../core/units/units';
import { rulerTicks, type Tick } from '../../drawing/ruler';
import { RULER_PX, type View } from './view';

const TICK_PX = [13, 8, 4] as const;

interface EdgeProps {
  readonly axis: 'x' | 'y';
  readonly ticks: readonly Tick[];
  /** Where a tick stands on the screen, px. */
  readonly at: (tick: Tick) => number;
  /** How far grid lines reach, px. */
  readonly reach: number;
}

/** A line across an axis: upright for x, level for y. */
const across = (axis: 'x' | 'y', at: number, ends: readonly [number, number]) =>
  axis === 'x' ? { x1: at, x2: at, y1: ends[0], y2: ends[1] } : { y1: at, y2: at, x1: ends[0], x2: ends[1] };

const Grid = ({ axis, ticks, at, reach }: EdgeProps) =>
  ticks
    .filter(t => t.rank < 2)
    .map(t => (
      <line
        key={t.mm}
        {...across(axis, at(t), [RULER_PX, reach])}
        className="stroke-grid"
        strokeWidth={t.rank === 0 ? 1.2 : 0.6}
      />
    ));

const Edge = ({ axis, ticks, at }: EdgeProps) =>
  ticks.map(t => (
    <g key={t.mm}>
      <line
        {...across(axis, at(t), [RULER_PX - TICK_PX[t.rank], RULER_PX])}
        className="stroke-chalk"
        strokeWidth={1}
      />
      {t.figure && at(t) > RULER_PX + 10 && (
        <text
          {...(axis === 'x' ? { x: at(t) + 3, y: 11 } : { x: 2, y: at(t) - 3 })}
          className="fill-chalk text-[11px]"
        >
          {t.figure}
        </text>
      )}
    </g>
  ));

/** The ruler edge along the top and left of the table, its zero at the corner of the drawing; and the light grid. */
export const Ruler = ({
  view,
  zero,
  units,
}: {
  readonly view: View;
  readonly zero: Box;
  readonly units: UnitSystem;
}) => {
  const edge = (axis: 'x' | 'y'): EdgeProps => {
    const start = axis === 'x' ? view.left + zero.minX * view.pxPerMm : view.top + zero.minY * view.pxPerMm;
    const [length, reach] = axis === 'x' ? [view.width, view.height] : [view.height, view.width];
    const range = { from: (RULER_PX - start) / view.pxPerMm, to: (length - start) / view.pxPerMm };
    return {
      axis,
      reach,
      ticks: rulerTicks(range, view.pxPerMm, units),
      at: t => start + t.mm * view.pxPerMm,
    };
  };
  const [x, y] = [edge('x'), edge('y')];
  return (
    <g aria-hidden="true" className="pointer-events-none">
      <Grid {...x} />
      <Grid {...y} />
      <rect x={0} y={0} width={view.width} height={RULER_PX} className="fill-soap" />
      <rect x={0} y={0} width={RULER_PX} height={view.height} className="fill-soap" />
      <path d={`M${RULER_PX} ${view.height}V${RULER_PX}H${view.width}`} className="fill-none stroke-rim" />
      <Edge {...x} />
      <Edge {...y} />
      <text x={3} y={12} className="fill-chalk text-[10px]">
        {units === 'metric' ? 'cm' : 'in'}
      </text>
    </g>
  );
};
