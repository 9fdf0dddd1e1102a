import { gaugeAxis } from '../forms/gaugeAxis';
import type { BenchState } from '../log/benchState';
import type { RollDirection } from '../acts/vocabulary';
import type { Forecast, GaugeProgress } from '../forecast/forecast';
import { SIZE_TOLERANCE } from '../tolerances';
import type { ProposedAct } from './proposedAct';
import type { FormPlan } from '../forms/formKind';
import { faultAct } from './faultAct';
import { firmAct, type FirmTest, firmTestOf } from './firmTest';
import { modelAct, type ModelAnswer } from './modelAct';
import { leastFace, type WorkHabits } from '../log/leastFace';
import { PRACTICE } from '../acts/practice';

/** Share of the way from which the end is near. */
const NEAR = 0.75;
/** Share of the way from which only short sets are rolled. */
const VERY_NEAR = 0.9;

const tooLarge = (s: GaugeProgress): boolean => s.nowMm > s.gauge.wantedMm * (1 + SIZE_TOLERANCE);
const tooSmall = (s: GaugeProgress): boolean => s.nowMm < s.gauge.wantedMm * (1 - SIZE_TOLERANCE);
/** The ways to roll that shorten a line: along its own axis, or both where it lies diagonally. */
const waysOf = ({ gauge }: GaugeProgress): readonly RollDirection[] => {
  const axis = gaugeAxis(gauge.directionDeg);
  return axis === 'along' ? [0] : axis === 'across' ? [90] : [0, 90];
};

/** The face and the way, of some ways to roll, that had the least work. */
const leastOf = (state: BenchState, faces: readonly number[], ways: readonly RollDirection[]) =>
  ways.map(way => leastFace(state, faces, way)).reduce((a, b) => (b.work < a.work ? b : a));

const early = (state: BenchState, faces: readonly number[]): ProposedAct | null => {
  const dry = faces.find(f => !state.wettedFaces.includes(f));
  if (dry !== undefined) return { act: 'wet', face: dry, reason: 'dry-face' };
  if (state.pinch !== null && state.pinch >= 2) return null;
  if (state.rolls > 0 && state.pinch === null) return null;
  const raw = faces.find(f => (state.rubs[f] ?? 0) < PRACTICE.rubs);
  if (raw !== undefined) return { act: 'rub', face: raw, count: PRACTICE.rubs, reason: 'no-skin-yet' };
  if (state.pinch === null || state.workSincePinch >= PRACTICE.rubs)
    return { act: 'pinch', reason: 'skin-to-test' };
  const least = faces.reduce((a, b) => ((state.rubs[b] ?? 0) < (state.rubs[a] ?? 0) ? b : a), faces[0] ?? 1);
  return { act: 'rub', face: least, count: PRACTICE.rubs, reason: 'no-skin-yet' };
};

/** What is said once nothing is left too large; null while there is. */
const atSize = (
  state: BenchState,
  gaugeProgress: readonly GaugeProgress[],
  test: FirmTest,
): ProposedAct | null => {
  if (!gaugeProgress.every(s => s.measured) || gaugeProgress.some(tooLarge)) return null;
  const worked = state.rollsSinceMeasure + state.throwsSinceMeasure;
  if (state.rollsSinceMeasure > 0 || state.throwsSinceMeasure > PRACTICE.throws)
    return { act: 'measure', reason: 'nearly-there' };
  const small = gaugeProgress.find(tooSmall);
  if (small)
    return worked > 0
      ? { act: 'measure', reason: 'nearly-there' }
      : { act: 'stretch', reason: 'too-small', about: small };
  return (
    firmAct(state, test) ??
    (worked > 0 ? { act: 'measure', reason: 'nearly-there' } : { act: 'stop', reason: 'size-and-firm' })
  );
};

const rolling = (state: BenchState, forecast: Forecast, { faces, setOfRolls }: WorkHabits): ProposedAct => {
  const { gaugeProgress, lopsided } = forecast;
  const furthest = Math.max(...gaugeProgress.map(s => s.progress));
  const every = furthest > NEAR || lopsided ? PRACTICE.measureEvery.near : PRACTICE.measureEvery.far;
  if (state.rollsSinceMeasure >= every) return { act: 'measure', reason: 'measure-due' };
  const rolls = furthest > VERY_NEAR ? Math.min(PRACTICE.shortSet, setOfRolls) : setOfRolls;
  if (lopsided) {
    const { face, directionDeg } = leastOf(state, faces, waysOf(lopsided.behind));
    return { act: 'roll', face, directionDeg, rolls, reason: 'direction-lags', about: lopsided.behind };
  }
  const open = gaugeProgress.filter(s => !s.measured || tooLarge(s)).flatMap(waysOf);
  const axes = ([0, 90] as const).filter(axis => open.includes(axis));
  const least = leastOf(state, faces, axes.length > 0 ? axes : [0, 90]);
  return { act: 'roll', face: least.face, directionDeg: least.directionDeg, rolls, reason: 'least-worked' };
};

/**
 * One next act from where the work stands: wet, rub to a skin, test it, roll, measure in time, firm up, stop. The felting model
 * says how far to roll and when it is there; until it has answered, rules of common practice do. A fault that is to be mended
 * comes before more rolling.
 */
export const nextAct = (
  state: BenchState,
  forecast: Forecast,
  worked: WorkHabits & {
    readonly model?: ModelAnswer | null;
    readonly form: Pick<FormPlan, 'laid' | 'solid' | 'outlineIs'>;
  },
): ProposedAct => {
  const first = early(state, worked.faces);
  if (first) return first;
  const test = firmTestOf(worked.form);
  const next = worked.model
    ? modelAct(state, worked.model, { gaugeProgress: forecast.gaugeProgress, worked, test })
    : (atSize(state, forecast.gaugeProgress, test) ?? rolling(state, forecast, worked));
  return faultAct(next, state, { laid: worked.form.laid.points, worked });
};
