import type { Box } from '../../core/outline/polygon';
import type { UnitSystem } from '../../core/units/units';
import { rulerTicks, type Tick } from '../../drawing/ruler';
import { RULER_PX, type View } from './view';

const TICK_PX = [13, 8, 4] as const;

interface EdgeProps {
  readonly axis: 'x' | 'y';
  readonly ticks: readonly Tick[];
  /** Where its zero stands on the screen, px. */
  readonly start: number;
  /** How far from zero a tick stands, px. */
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

/** Moves what is drawn from zero on to where zero stands: when that moves, nothing of it is laid out anew. */
const fromZero = ({ axis, start }: EdgeProps): string =>
  axis === 'x' ? `translate(${start} 0)` : `translate(0 ${start})`;

/** Widths of grid lines, by rank. */
const GRID_WIDTHS = [1.2, 0.6] as const;

const Grid = (edge: EdgeProps) => (
  <g transform={fromZero(edge)}>
    {GRID_WIDTHS.map((width, rank) => (
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
    ))}
  </g>
);

const Edge = (edge: EdgeProps) => {
  const { axis, ticks, start, at } = edge;
  return (
    <g transform={fromZero(edge)}>
      <path
        d={across(edge, ticks, t => [RULER_PX - TICK_PX[t.rank], RULER_PX])}
        className="fill-none stroke-chalk"
        strokeWidth={1}
      />
      {ticks
        .filter(t => t.figure && start + at(t) > RULER_PX + 10)
        .map(t => (
          <text
            key={t.mm}
            {...(axis === 'x' ? { x: at(t) + 3, y: 11 } : { x: 2, y: at(t) - 3 })}
            className="fill-chalk text-[11px]"
          >
            {t.figure}
          </text>
        ))}
    </g>
  );
};

/** Ticks come and go so many px at a time, out of sight: as zero moves, the same ones are drawn. */
const STEP_PX = 64;

/** A stretch from zero on, px, as one that changes seldom, mm. */
const wholeSteps = (px: { readonly from: number; readonly to: number }, pxPerMm: number) => ({
  from: (Math.floor(px.from / STEP_PX) * STEP_PX) / pxPerMm,
  to: (Math.ceil(px.to / STEP_PX) * STEP_PX) / pxPerMm,
});

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
    const range = wholeSteps({ from: RULER_PX - start, to: length - start }, view.pxPerMm);
    return {
      axis,
      reach,
      ticks: rulerTicks(range, view.pxPerMm, units),
      start,
      at: t => t.mm * view.pxPerMm,
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
      <path d={`M0 0H${RULER_PX}V${RULER_PX}H0Z`} className="fill-soap" />
      <text x={3} y={12} className="fill-chalk text-[10px]">
        {units === 'metric' ? 'cm' : 'in'}
      </text>
    </g>
  );
};
