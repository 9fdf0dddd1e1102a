import { memo } from 'react';
import type { ModelAnswer } from '../../core/advice/modelAct';
import type { Unequal } from '../../core/log/pair';
import type { Range } from '../../core/felting/predict';
import type { Forecast, GaugeProgress } from '../../core/forecast/forecast';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';

const Way = ({ gaugeNow }: { readonly gaugeNow: GaugeProgress }) => {
  const share = Math.min(1.15, Math.max(0, gaugeNow.progress));
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

const worked = ({ since }: ModelAnswer): boolean => since.directional + since.free > 0;

/** What the felting model has a line at now, where it was worked since it was measured, and at its end. */
const Predicted = (props: {
  readonly gaugeNow: GaugeProgress;
  readonly model: ModelAnswer;
  readonly at: number;
  readonly units: UnitSystem;
}) => {
  const { gaugeNow, model, at, units } = props;
  const { now, ended } = model.pieceForecast;
  const { laidMm } = gaugeNow.gauge;
  const show = (share: number): string => showFigure(share * laidMm, 'length', { units });
  const range = (of: Range | undefined): string =>
    of ? `${show(of.median)} (${show(of.low80)}–${show(of.high80)})` : '';
  return (
    <>
      {(worked(model) || (!gaugeNow.measured && model.pieceForecast.measurings > 0)) && (
        <span>: now about {range(now[at])}</span>
      )}
      {model.pieceForecast.measurings > 0 && <span>; should finish at {range(ended[at])}</span>}
    </>
  );
};

/** Each measuring line between laid and target: now, in figures legible from a metre, and how far it has come. */
export const GaugeStatus = memo(
  ({
    forecast,
    units,
    model,
    unequal,
    openings,
    hasTarget,
  }: {
    readonly forecast: Forecast;
    readonly units: UnitSystem;
    readonly model: ModelAnswer | null;
    /** False where it comes as it comes. */
    readonly hasTarget: boolean;
    /** Holes that must fit, once it is open. */
    readonly openings: readonly GaugeProgress[];
    /** How many alike that came out unequal. */
    readonly unequal: Unequal | null;
  }) => (
    <ul className="flex flex-col gap-2" aria-label="Measuring lines">
      {forecast.gaugeProgress.map((s, g) => (
        <li key={s.gauge.id}>
          <div className="flex flex-wrap items-baseline gap-x-2 leading-none">
            <span className="text-2xl font-semibold">{s.gauge.id}</span>
            <span className={`text-5xl font-semibold ${s.measured ? 'text-now' : 'text-chalk'}`}>
              {showFigure(s.nowMm, 'length', { units: units })}
            </span>
            {hasTarget ? (
              <>
                <span className="text-lg text-chalk">{s.measured ? '' : 'laid '}to</span>
                <span className="text-2xl text-wanted">
                  {showFigure(s.gauge.wantedMm, 'length', { units: units })}
                </span>
                <span className="text-chalk">{homeUnit('length', units)}</span>
                <span className="ml-auto text-2xl font-semibold">{Math.round(100 * s.progress)} %</span>
              </>
            ) : (
              <span className="text-lg text-chalk">
                {homeUnit('length', units)} {s.measured ? 'now' : 'laid'}
              </span>
            )}
          </div>
          {hasTarget && <Way gaugeNow={s} />}
          <p className="min-h-10 text-sm text-chalk">
            {s.gauge.name}
            {model && hasTarget && <Predicted gaugeNow={s} model={model} at={g} units={units} />}
          </p>
        </li>
      ))}
      {openings.map(({ gauge, nowMm, measured }) => (
        <li key={gauge.id} className="flex items-baseline gap-2">
          <span className="text-2xl font-semibold">{gauge.id}</span>
          <span className={`text-3xl font-semibold ${measured ? 'text-now' : 'text-chalk'}`}>
            {measured ? showFigure(nowMm, 'length', { units }) : '–'}
          </span>
          <span className="text-lg text-chalk">for</span>
          <span className="text-2xl text-wanted">{showFigure(gauge.wantedMm, 'length', { units })}</span>
          <span className="text-chalk">{homeUnit('length', units)}</span>
          <span className="text-sm text-chalk">{gauge.name}</span>
        </li>
      ))}
      <li className="text-sm text-chalk">
        {hasTarget
          ? 'Per cent: how far from laid to target.'
          : 'It comes as it comes: no size is to be reached.'}
      </li>
      {unequal && (
        <li role="status" className="border-l-4 border-wanted pl-3 text-lg">
          Unequal: piece {unequal.larger} is {Math.round(100 * unequal.by)} % larger at {unequal.gaugeId}.
          Work it on its own, and measure all of them each round.
        </li>
      )}
      {forecast.lopsided && (
        <li role="status" className="border-l-4 border-wanted pl-3 text-lg">
          Lopsided: {forecast.lopsided.behind.gauge.name} is behind {forecast.lopsided.ahead.gauge.name}.
        </li>
      )}
    </ul>
  ),
);
GaugeStatus.displayName = 'GaugeStatus';
