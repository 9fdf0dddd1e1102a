import type { Forecast, GaugeStand } from '../../core/forecast/forecast';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';

const Way = ({ stand }: { readonly stand: GaugeStand }) => {
  const share = Math.min(1.15, Math.max(0, stand.progress));
  return (
    <svg viewBox="0 0 240 20" className="w-full" aria-hidden="true">
      <line x1={2} x2={206} y1={10} y2={10} className="stroke-rim" strokeWidth={3} />
      <line x1={2} x2={2 + 204 * share} y1={10} y2={10} className="stroke-now" strokeWidth={7} />
      <line x1={2} x2={2} y1={1} y2={19} className="stroke-laid" strokeWidth={3} strokeDasharray="4 3" />
      <line
        x1={206}
        x2={206}
        y1={1}
        y2={19}
        className="stroke-wanted"
        strokeWidth={3}
        strokeDasharray="1 4"
        strokeLinecap="round"
      />
    </svg>
  );
};

/** Each gauge line between laid and wanted: now, in figures legible from a metre, and how far it has come. */
export const Stands = ({ forecast, units }: { readonly forecast: Forecast; readonly units: UnitSystem }) => (
  <ul className="flex flex-col gap-2" aria-label="Gauge lines">
    {forecast.stands.map(s => (
      <li key={s.gauge.id}>
        <div className="flex items-baseline gap-2 leading-none">
          <span className="text-2xl font-semibold">{s.gauge.id}</span>
          <span className={`text-5xl font-semibold ${s.measured ? 'text-now' : 'text-chalk'}`}>
            {showFigure(s.nowMm, 'length', { units: units })}
          </span>
          <span className="text-lg text-chalk">{s.measured ? '' : 'laid '}to</span>
          <span className="text-2xl text-wanted">
            {showFigure(s.gauge.wantedMm, 'length', { units: units })}
          </span>
          <span className="text-chalk">{homeUnit('length', units)}</span>
          <span className="ml-auto text-2xl font-semibold">{Math.round(100 * s.progress)} %</span>
        </div>
        <Way stand={s} />
        <span className="text-sm text-chalk">{s.gauge.name}</span>
      </li>
    ))}
    <li className="text-sm text-chalk">Per cent: the share of the way from laid to wanted.</li>
    {forecast.lopsided && (
      <li role="status" className="border-l-4 border-wanted pl-3 text-lg">
        Lopsided: {forecast.lopsided.behind.gauge.name} is behind {forecast.lopsided.ahead.gauge.name}.
      </li>
    )}
  </ul>
);
