import type { ModelAnswer } from '../../core/advice/modelAct';
import type { BenchState } from '../../core/log/benchState';
import type { Forecast } from '../../core/forecast/forecast';
import { SIZE_TOLERANCE } from '../../core/tolerances';
import { showQuantity, showShare, type UnitSystem } from '../../core/units/units';

/** A reading is doubted from this chance on. */
const DOUBTED = 0.5;

const riskWords = (risk: number): string => (risk < 0.005 ? 'under 1 %' : showShare(risk));

/** Where each line is now, with its range, and how likely it is too small. */
const LinesNow = (props: {
  readonly forecast: Forecast;
  readonly pieceForecast: ModelAnswer['pieceForecast'];
  readonly units: UnitSystem;
}) => {
  const { forecast, pieceForecast, units } = props;
  return (
    <ul>
      {forecast.gaugeProgress.map((s, g) => {
        const now = pieceForecast.now[g];
        const show = (share: number): string => showQuantity(share * s.gauge.laidMm, 'length', units);
        return now ? (
          <li key={s.gauge.id}>
            <b>
              {s.gauge.id}, {s.gauge.name}
            </b>
            : now {show(now.median)}, four times in five between {show(now.low80)} and {show(now.high80)};{' '}
            {showShare(pieceForecast.pastNow[g] ?? 0)} that it is too small.
          </li>
        ) : null;
      })}
    </ul>
  );
};

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
  const readings = state.readings.filter(
    r => r.drawing !== undefined || Object.values(r.readings).some(v => v !== null),
  );
  return (
    <div>
      <h3 className="font-semibold">The felting model</h3>
      <p>
        It treats the felt as one sheet. Every roll shortens it, mostly in the direction you roll: slowly at
        first, and less again towards a limit. From {pieceForecast.measurings || 'no'}{' '}
        {pieceForecast.measurings === 1 ? 'measurement' : 'measurements'}
        {learntFrom.pieces > 0
          ? ` and ${learntFrom.pieces} pieces and swatches finished before`
          : ' and general practice'}{' '}
        it expects this felt to shrink by {showShare(most.median)} at the most ({showShare(most.low80)}–
        {showShare(most.high80)}), half of that after {Math.round(halfRolls.median)} rolls (
        {Math.round(halfRolls.low80)}–{Math.round(halfRolls.high80)}) of snug bubble wrap.
      </p>
      <LinesNow forecast={forecast} pieceForecast={pieceForecast} units={units} />
      <p>
        Within {showShare(SIZE_TOLERANCE)} of every target: {showShare(pieceForecast.withinNow)} now,{' '}
        {showShare(pieceForecast.withinThen)} after the rolls to go.
        {pieceForecast.move.kind === 'roll' &&
          ` The next rolls have ${riskWords(pieceForecast.risk)} risk of making it too small.`}
      </p>
      {doubts.map(d => (
        <p key={`${d.interval}/${d.gauge}`} className="border-l-4 border-now pl-3">
          Measurement {d.interval + 1}, {forecast.gaugeProgress[d.gauge]?.gauge.id}
          {readings[d.interval] &&
            ` (${showQuantity(readings[d.interval]?.readings[forecast.gaugeProgress[d.gauge]?.gauge.id ?? ''] ?? Number.NaN, 'length', units)})`}{' '}
          does not fit the rest: {showShare(d.chance)} that it is a slip of the tape. It counts little.
        </p>
      ))}
      <p className="text-chalk">
        {since.directional + since.free > 0 &&
          `Since you last measured, you did the work of ${Math.round(since.directional + since.free)} rolls. `}
        The ranges come from {Math.round(pieceForecast.effective)} possible felts; on 500 made-up pieces they
        were right as often as they claim. No real felt was measured for the model: it starts from common
        practice and simulation, and learns from your own pieces.
      </p>
    </div>
  );
};
