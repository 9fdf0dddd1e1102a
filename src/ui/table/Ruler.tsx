import type { Box } from '../../core/outline/polygon';
import type { UnitSystem } from '../../core/units/units';
import { rulerTicks } from '../../drawing/ruler';
import { RULER_PX, type View } from './view';

const TICK_PX = [13, 8, 4] as const;

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
  const x0 = view.left + zero.minX * view.pxPerMm;
  const y0 = view.top + zero.minY * view.pxPerMm;
  const xs = rulerTicks(
    { from: (RULER_PX - x0) / view.pxPerMm, to: (view.width - x0) / view.pxPerMm },
    view.pxPerMm,
    units,
  );
  const ys = rulerTicks(
    { from: (RULER_PX - y0) / view.pxPerMm, to: (view.height - y0) / view.pxPerMm },
    view.pxPerMm,
    units,
  );
  return (
    <g aria-hidden="true" className="pointer-events-none">
      {xs.map(t =>
        t.rank === 2 ? null : (
          <line
            key={t.mm}
            x1={x0 + t.mm * view.pxPerMm}
            x2={x0 + t.mm * view.pxPerMm}
            y1={RULER_PX}
            y2={view.height}
            className="stroke-grid"
            strokeWidth={t.rank === 0 ? 1.2 : 0.6}
          />
        ),
      )}
      {ys.map(t =>
        t.rank === 2 ? null : (
          <line
            key={t.mm}
            y1={y0 + t.mm * view.pxPerMm}
            y2={y0 + t.mm * view.pxPerMm}
            x1={RULER_PX}
            x2={view.width}
            className="stroke-grid"
            strokeWidth={t.rank === 0 ? 1.2 : 0.6}
          />
        ),
      )}
      <rect x={0} y={0} width={view.width} height={RULER_PX} className="fill-soap" />
      <rect x={0} y={0} width={RULER_PX} height={view.height} className="fill-soap" />
      <path d={`M${RULER_PX} ${view.height}V${RULER_PX}H${view.width}`} className="fill-none stroke-rim" />
      {xs.map(t => {
        const x = x0 + t.mm * view.pxPerMm;
        return (
          <g key={t.mm}>
            <line
              x1={x}
              x2={x}
              y1={RULER_PX - TICK_PX[t.rank]}
              y2={RULER_PX}
              className="stroke-chalk"
              strokeWidth={1}
            />
            {t.figure && x > RULER_PX + 8 && (
              <text x={x + 3} y={11} className="fill-chalk text-[11px]">
                {t.figure}
              </text>
            )}
          </g>
        );
      })}
      {ys.map(t => {
        const y = y0 + t.mm * view.pxPerMm;
        return (
          <g key={t.mm}>
            <line
              y1={y}
              y2={y}
              x1={RULER_PX - TICK_PX[t.rank]}
              x2={RULER_PX}
              className="stroke-chalk"
              strokeWidth={1}
            />
            {t.figure && y > RULER_PX + 12 && (
              <text x={2} y={y - 3} className="fill-chalk text-[11px]">
                {t.figure}
              </text>
            )}
          </g>
        );
      })}
      <text x={3} y={12} className="fill-chalk text-[10px]">
        {units === 'metric' ? 'cm' : 'in'}
      </text>
    </g>
  );
};
