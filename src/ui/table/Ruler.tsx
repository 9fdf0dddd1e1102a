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

/** Lines across an axis, upright for x and level for y, all as one path: a thousand are as quick as ten. */
const across = (
  { axis, at }: EdgeProps,
  ticks: readonly Tick[],
  endsOf: (tick: Tick) => readonly [number, number],
): string =>
  ticks
    .map(t => {
      const [from, to] = endsOf(t);
      const along = at(t).toFixed(2);
      return axis === 'x' ? `M${along} ${from}V${to}` : `M${from} ${along}H${to}`;
    })
    .join('');

/** Widths of grid lines, by rank. */
const GRID_WIDTHS = [1.2, 0.6] as const;

const Grid = (edge: EdgeProps) =>
  GRID_WIDTHS.map((width, rank) => (
    <path
      key={width}
      d={across(
        edge,
        edge.ticks.filter(t => t.rank === rank),
        () => [RULER_PX, edge.reach],
      )}
      className="fill-none stroke-grid"
      strokeWidth={width}
    />
  ));

const Edge = (edge: EdgeProps) => {
  const { axis, ticks, at } = edge;
  return (
    <>
      <path
        d={across(edge, ticks, t => [RULER_PX - TICK_PX[t.rank], RULER_PX])}
        className="fill-none stroke-chalk"
        strokeWidth={1}
      />
      {ticks
        .filter(t => t.figure && at(t) > RULER_PX + 10)
        .map(t => (
          <text
            key={t.mm}
            {...(axis === 'x' ? { x: at(t) + 3, y: 11 } : { x: 2, y: at(t) - 3 })}
            className="fill-chalk text-[11px]"
          >
            {t.figure}
          </text>
        ))}
    </>
  );
};

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
