import type { BenchState } from '../cycles/benchState';
import type { RollDirection } from '../cycles/entry';
import type { Forecast, GaugeStand } from '../forecast/forecast';
import { SIZE_TOLERANCE } from '../tolerances';

/** Why an act is proposed. The words are the interface's. */
export type Reason =
  | 'dry-face'
  | 'no-skin-yet'
  | 'skin-to-test'
  | 'measure-due'
  | 'least-worked'
  | 'direction-lags'
  | 'nearly-there'
  | 'size-reached-soft'
  | 'size-and-firm'
  | 'too-small';

/** One next act. It never commands: any other act is as easy. */
export type Advice = { readonly reason: Reason; readonly about?: GaugeStand } & (
  | { readonly act: 'wet'; readonly face: number }
  | { readonly act: 'rub'; readonly face: number; readonly count: number }
  | { readonly act: 'pinch' }
  | { readonly act: 'measure' }
  | {
      readonly act: 'roll';
      readonly face: number;
      readonly directionDeg: RollDirection;
      readonly rolls: number;
    }
  | { readonly act: 'throw'; readonly count: number }
  | { readonly act: 'stretch' }
  | { readonly act: 'stop' }
);

/** Rubs on a face before the skin is tested; a set of rolls; rolls between measurings; a dozen throws. Common practice. */
const RUBS = 40;
const SET = 30;
const SHORT_SET = 10;
const MEASURE_EVERY = { far: 200, near: 60 };
const THROWS = 12;
const NEAR = 0.75;

const within = (s: GaugeStand): boolean => Math.abs(s.nowMm / s.gauge.wantedMm - 1) <= SIZE_TOLERANCE;
const tooSmall = (s: GaugeStand): boolean => s.nowMm < s.gauge.wantedMm * (1 - SIZE_TOLERANCE);
const axisOf = (s: GaugeStand): RollDirection => (Math.abs(s.gauge.directionDeg - 90) < 45 ? 90 : 0);

const workAt = (state: BenchState, directionDeg: number, face: number): number =>
  state.petals.find(p => p.directionDeg === directionDeg && p.face === face)?.work ?? 0;

/** The face with the least work in a direction, and that work; the first of equals. */
const leastFace = (state: BenchState, faces: readonly number[], directionDeg: RollDirection) =>
  faces
    .map(face => ({ face, directionDeg, work: workAt(state, directionDeg, face) }))
    .reduce((a, b) => (b.work < a.work ? b : a), { face: 1, directionDeg, work: Number.POSITIVE_INFINITY });

const early = (state: BenchState, faces: readonly number[]): Advice | null => {
  const dry = faces.find(f => !state.wettedFaces.includes(f));
  if (dry !== undefined) return { act: 'wet', face: dry, reason: 'dry-face' };
  if (state.pinch !== null && state.pinch >= 2) return null;
  if (state.rolls > 0 && state.pinch === null) return null;
  const raw = faces.find(f => (state.rubs[f] ?? 0) < RUBS);
  if (raw !== undefined) return { act: 'rub', face: raw, count: RUBS, reason: 'no-skin-yet' };
  if (state.pinch === null || state.workSincePinch >= RUBS) return { act: 'pinch', reason: 'skin-to-test' };
  const least = faces.reduce((a, b) => ((state.rubs[b] ?? 0) < (state.rubs[a] ?? 0) ? b : a), faces[0] ?? 1);
  return { act: 'rub', face: least, count: RUBS, reason: 'no-skin-yet' };
};

const atSize = (state: BenchState, stands: readonly GaugeStand[]): Advice | null => {
  if (!stands.every(s => s.measured)) return null;
  const small = stands.find(tooSmall);
  if (small && state.rollsSinceMeasure === 0) return { act: 'stretch', reason: 'too-small', about: small };
  if (!stands.every(within)) return null;
  if (state.rollsSinceMeasure > 0) return { act: 'measure', reason: 'nearly-there' };
  if (state.pinch === 3 && state.workSincePinch === 0) return { act: 'stop', reason: 'size-and-firm' };
  if (state.workSincePinch > 0) return { act: 'pinch', reason: 'nearly-there' };
  return { act: 'throw', count: THROWS, reason: 'size-reached-soft' };
};

const rolling = (state: BenchState, forecast: Forecast, faces: readonly number[]): Advice => {
  const { stands, lopsided } = forecast;
  const furthest = Math.max(...stands.map(s => s.progress));
  const every = furthest > NEAR || lopsided ? MEASURE_EVERY.near : MEASURE_EVERY.far;
  if (state.rollsSinceMeasure >= every) return { act: 'measure', reason: 'measure-due' };
  const rolls = furthest > 0.9 ? SHORT_SET : SET;
  if (lopsided) {
    const { face, directionDeg } = leastFace(state, faces, axisOf(lopsided.behind));
    return { act: 'roll', face, directionDeg, rolls, reason: 'direction-lags', about: lopsided.behind };
  }
  const open = stands.filter(s => !(s.measured && within(s))).map(axisOf);
  const axes = ([0, 90] as const).filter(axis => open.includes(axis));
  const options = (axes.length > 0 ? axes : ([0, 90] as const)).map(axis => leastFace(state, faces, axis));
  const least = options.reduce((a, b) => (b.work < a.work ? b : a));
  return { act: 'roll', face: least.face, directionDeg: least.directionDeg, rolls, reason: 'least-worked' };
};

/**
 * One next act from where the work stands: wet, rub to a skin, test it, roll what is least worked or lags, measure in
 * time, firm up, stop. Rules of common practice; the felting model will replace the rolling part.
 * @param faces numbers of the faces that are worked, e.g. [1, 2]
 */
export const nextAct = (state: BenchState, forecast: Forecast, faces: readonly number[]): Advice =>
  early(state, faces) ?? atSize(state, forecast.stands) ?? rolling(state, forecast, faces);
