import type { ModelAnswer } from '../../core/advice/modelAct';
import type { BenchState } from '../../core/log/benchState';
import type { Forecast } from '../../core/forecast/forecast';
import { showQuantity, showShare, type UnitSystem } from '../../core/units/units';

/** A reading is doubted from this chance on. */
const DOUBTED = 0.5;

/** What the felting model has found, and what that rests on. */
export const ModelWhy = (props: {
  readonly model: ModelAnswer;
  readonly forecast: Forecast;
  readonly state: BenchState;
  readonly units: UnitSystem;
}) => {
  const { model, forecast, state, units } = props;
  const { pieceForecast, learntFrom, since } = model;
  const { most, halfRolls } = pieceForecast.felt;
  const doubts = pieceForecast.doubts.filter(d => d.chance > DOUBTED);
  const readings = state.readings.filter(r => Object.values(r.readings).some(v => v !== null));
  return (
    <div>
      <h3 className="font-semibold">The felting model</h3>
      <p>
        It takes the felt for one sheet that every roll shortens, most along the way it is rolled, little at
        first and less again towards a limit. From {pieceForecast.measurings || 'no'}{' '}
        {pieceForecast.measurings === 1 ? 'measuring' : 'measurings'}
        {learntFrom.pieces > 0
          ? ` and ${learntFrom.pieces} pieces and swatches finished before`
          : ' and general practice'}{' '}
        it has this felt shrink by {showShare(most.median)} at the most ({showShare(most.low80)}–
        {showShare(most.high80)}), half of that after {Math.round(halfRolls.median)} rolls (
        {Math.round(halfRolls.low80)}–{Math.round(halfRolls.high80)}) of snug bubble wrap.
      </p>
      <ul>
        {forecast.gaugeProgress.map((s, g) => {
          const now = pieceForecast.now[g];
          const show = (share: number): string => showQuantity(share * s.gauge.laidMm, 'length', units);
          return now ? (
            <li key={s.gauge.id}>
              <b>
                {s.gauge.id}, {s.gauge.name}
              </b>
              : now {show(now.median)}, four times in five within {show(now.low80)} to {show(now.high80)};{' '}
              {showShare(pieceForecast.pastNow[g] ?? 0)} that it is too small.
            </li>
          ) : null;
        })}
      </ul>
      {doubts.map(d => (
        <p key={`${d.interval}/${d.gauge}`} className="border-l-4 border-now pl-3">
          Measuring {d.interval + 1}, {forecast.gaugeProgress[d.gauge]?.gauge.id}
          {readings[d.interval] &&
            ` (${showQuantity(readings[d.interval]?.readings[forecast.gaugeProgress[d.gauge]?.gauge.id ?? ''] ?? Number.NaN, 'length', units)})`}{' '}
          does not fit the rest: {showShare(d.chance)} that it is a slip of the tape. It counts little.
        </p>
      ))}
      <p className="text-chalk">
        {since.directional + since.free > 0 &&
          `${Math.round(since.directional + since.free)} rolls’ worth was done since the last measuring. `}
        Ranges are quantiles over {Math.round(pieceForecast.effective)} possible felts; on 500 made-up pieces
        they held as often as they say. No felt was measured for the model: its beginnings are common practice
        and simulation, and your own pieces take over.
      </p>
    </div>
  );
};
