import { gaugeAxis } from '../forms/gaugeAxis';
import type { BenchState } from '../log/benchState';
import type { RollDirection } from '../acts/vocabulary';
import type { Forecast, GaugeProgress } from '../forecast/forecast';
import { SIZE_TOLERANCE } from '../tolerances';
import type { ProposedAct } from './proposedAct';
import type { FormPlan } from '../forms/formKind';
import { faultAct } from './faultAct';
import type { FirmTest } from '../acts/feltTests';
import { firmAct, firmTestOf, firmTestResult } from './firmTest';
import { shrinkOf } from '../ways/shrinkOf';
import type { UsualAmount, Way } from '../ways/way';
import { skinHolds } from './skin';
import { usualAct } from './usualAct';
import type { Judge } from '../acts/vocabulary';
import { type Habits, habitOf } from '../ways/habits';
import { openingAct } from './openingAct';
import { modelAct, type ModelAnswer, restOfMove } from './modelAct';
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

/** The face and the way, of some ways to roll, that had the least work; of equals the side that lies up, so that it is turned once. */
const leastOf = (state: BenchState, faces: readonly number[], ways: readonly RollDirection[]) =>
  [...faces.filter(f => f === state.up), ...faces]
    .flatMap(face => ways.map(way => leastFace(state, [face], way)))
    .reduce((a, b) => (b.work < a.work ? b : a));

/** The test that says whether the skin holds: its last grade, and what was worked since. */
const skinOf = (state: BenchState, { skinTest: test }: Way): { grade: number | null; since: number } =>
  test === 'pinch'
    ? { grade: state.pinch, since: state.workSincePinch }
    : { grade: state.tests[test] ?? null, since: state.workSinceTest[test] ?? 0 };

/** What makes the skin, while there is too little of it; null once it may be tested. */
const skinAct = (state: BenchState, faces: readonly number[], { skin, bySide }: Way): ProposedAct | null => {
  if (skin.kind === 'rub') {
    const raw = faces.find(f => (state.rubs[f] ?? 0) < skin.count);
    return raw === undefined ? null : { act: 'rub', face: raw, count: skin.count, reason: 'no-skin-yet' };
  }
  const left = skin.count * (bySide ? faces.length : 1) - (state.done[skin.kind] ?? 0);
  return left > 0 ? usualAct({ kind: skin.kind, count: Math.min(skin.count, left) }, 'no-skin-yet') : null;
};

/** More of what makes the skin, where it was tested and does not hold. */
const moreSkin = (state: BenchState, faces: readonly number[], { skin }: Way): ProposedAct => {
  if (skin.kind !== 'rub') return usualAct(skin, 'no-skin-yet');
  const face = faces.reduce((a, b) => ((state.rubs[b] ?? 0) < (state.rubs[a] ?? 0) ? b : a), faces[0] ?? 1);
  return { act: 'rub', face, count: skin.count, reason: 'no-skin-yet' };
};

/** Once hairs have come through, cloth is rubbed from its back too, before it is rolled. */
const fromTheBack = (state: BenchState, { rubsBack, skin, shrink }: Way): ProposedAct | null =>
  rubsBack && (state.done[shrink.kind] ?? 0) === 0 && (state.rubs[BACK] ?? 0) < skin.count
    ? { act: 'rub', face: BACK, count: skin.count, reason: 'hairs-through' }
    : null;
/** The side of a sheet that lies down while it is laid. */
const BACK = 2;

const early = (state: BenchState, faces: readonly number[], way: Way): ProposedAct | null => {
  const dry = faces.find(f => !state.wettedFaces.includes(f));
  if (dry !== undefined) return { act: 'wet', face: dry, reason: 'dry-face' };
  if (skinHolds(state)) return fromTheBack(state, way);
  const { grade, since } = skinOf(state, way);
  // Shrunk without a test: whoever works on knows that it holds.
  const { kind } = way.shrink;
  const shrunk = kind === way.skin.kind ? 0 : (state.done[kind] ?? 0);
  if (shrunk > 0 && grade === null) return null;
  const raw = skinAct(state, faces, way);
  if (raw) return raw;
  if (grade === null || since >= way.skin.count)
    return way.skinTest === 'pinch'
      ? { act: 'pinch', reason: 'skin-to-test' }
      : { act: 'test', test: way.skinTest, reason: 'skin-to-test' };
  return moreSkin(state, faces, way);
};

/** A way in which whoever does not throw firms with hot and cold. */
const withFirming = (way: Way, habits: Habits): Way =>
  way.firms.kind === 'throw' && habitOf(habits, 'firming') === 'water'
    ? { ...way, firms: { kind: 'shock', count: 1 } }
    : way;

/** How far the line that lags is expected to be by now, and what is left of the work, as the felting model has it. */
const expectedBy = (model: ModelAnswer, forecast: Forecast): { progress: number; rollsLeft: number } => {
  const { now, move } = model.pieceForecast;
  const progress = forecast.gaugeProgress.map(({ gauge }, g) => {
    const way = Math.log(gauge.wantedMm / gauge.laidMm);
    return way < 0 ? Math.log(now[g]?.median ?? 1) / way : 1;
  });
  const rest = move.kind === 'roll' ? restOfMove(move.rolls, model) : { along: 0, across: 0 };
  return {
    progress: Math.min(...progress),
    rollsLeft: (rest.along + rest.across) * model.intensity,
  };
};

/** What is said once nothing is left too large; null while there is. */
const atSize = (
  state: BenchState,
  gaugeProgress: readonly GaugeProgress[],
  of: { readonly test: FirmTest; readonly way: Way },
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
    firmAct(state, of.test, of.way.firms) ??
    (worked > 0 ? { act: 'measure', reason: 'nearly-there' } : { act: 'stop', reason: 'size-and-firm' })
  );
};

const rolling = (
  state: BenchState,
  forecast: Forecast,
  { faces: sides, legs: faces = sides, setOfRolls, way }: WorkHabits & { readonly way: Way },
): ProposedAct => {
  if (way.shrink.kind !== 'roll')
    return usualAct(
      shrinkOf(
        way,
        forecast.gaugeProgress.map(g => g.gauge),
      ),
      'least-worked',
    );
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

/** The work that goes on where a test or a measuring is put off. */
export const workOn = (
  state: BenchState,
  forecast: Forecast,
  of: WorkHabits & { readonly way: Way },
): ProposedAct => {
  const dry = of.faces.find(f => !state.wettedFaces.includes(f));
  if (dry !== undefined) return { act: 'wet', face: dry, reason: 'dry-face' };
  return { ...rolling({ ...state, rollsSinceMeasure: 0 }, forecast, of), reason: 'put-off' };
};

/** Turns of work after which it is tested, where it goes by feel. Common practice. */
const TURNS_TO_A_TEST = 3;

/** By feel: it is worked and tested in turn, until the test says that it is firm. */
const byFeel = (
  state: BenchState,
  of: { readonly shrink: UsualAmount; readonly test: FirmTest; readonly working: ProposedAct },
): ProposedAct => {
  const { isTested, isFirm } = firmTestResult(state, of.test);
  if (isTested && isFirm) return { act: 'stop', reason: 'firm-by-feel' };
  const since =
    of.test === 'pinch'
      ? state.workSincePinch
      : (state.workSinceTest[of.test] ?? state.done[of.shrink.kind] ?? 0);
  if (since < TURNS_TO_A_TEST * of.shrink.count) return { ...of.working, reason: 'by-feel' };
  return of.test === 'pinch'
    ? { act: 'pinch', reason: 'by-feel' }
    : { act: 'test', test: of.test, reason: 'by-feel' };
};

/**
 * One next act from where the work stands: wet, rub to a skin, test it, roll, measure in time, firm up, stop. The felting model
 * says how far to roll and when it is there; until it has answered, rules of common practice do. A fault that is to be mended
 * comes before more rolling.
 */
export const nextAct = (
  state: BenchState,
  forecast: Forecast,
  of: WorkHabits & {
    readonly model?: ModelAnswer | null;
    readonly form: Pick<FormPlan, 'laid' | 'solid' | 'outlineIs'>;
    readonly way: Way;
    readonly judge?: Judge;
    /** The whole form: for what comes out of it, and what is done to its edges. */
    readonly plan?: FormPlan;
    readonly habits?: Habits;
    /** Holes that must fit, once it is open, as they were last measured. */
    readonly openings?: readonly GaugeProgress[];
  },
): ProposedAct => {
  const { judge = 'tape', habits = {}, openings = [] } = of;
  const way = withFirming(of.way, habits);
  const first = early(state, of.faces, way);
  if (first) return first;
  const test = way.firmTest ?? firmTestOf(of.form);
  const shrink = shrinkOf(
    way,
    forecast.gaugeProgress.map(g => g.gauge),
  );
  const working = rolling({ ...state, rollsSinceMeasure: 0 }, forecast, of);
  const next =
    judge === 'feel'
      ? byFeel(state, { shrink, test, working })
      : of.model
        ? modelAct(state, of.model, { gaugeProgress: forecast.gaugeProgress, worked: of, test, way, shrink })
        : (atSize(state, forecast.gaugeProgress, { test, way }) ?? rolling(state, forecast, of));
  const opening =
    of.plan &&
    openingAct(next, state, {
      forecast,
      form: of.plan,
      way,
      habits,
      openings,
      judge,
      expected: of.model ? expectedBy(of.model, forecast) : null,
    });
  if (opening) return opening;
  if (judge === 'drawing' && next.act === 'measure') return { ...next, act: 'compare' };
  return faultAct(next, state, { laid: of.form.laid.points, worked: of });
};
