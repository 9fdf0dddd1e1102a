import { workOfAct } from '../acts/act';
import type { BenchState } from '../log/benchState';
import type { Judge } from '../acts/vocabulary';
import type { Forecast, GaugeProgress } from '../forecast/forecast';
import type { FormPlan } from '../forms/formKind';
import { type Habits, habitOf } from '../ways/habits';
import type { Way } from '../ways/way';
import { leastProgress, resistComesOut } from './gates';
import { SIZE_TOLERANCE } from '../tolerances';
import type { ProposedAct } from './proposedAct';
import { skinHolds } from './skin';

/** Shares of the way to the target from which the resist comes out, early or by size; a cut heals worse later. Common practice. */
const COMES_OUT = { early: { mouth: 0.15, cut: 0.15 }, size: { mouth: 0.9, cut: 0.7 } } as const;

interface Of {
  readonly forecast: Forecast;
  readonly form: FormPlan;
  readonly way: Way;
  readonly habits: Habits;
  readonly judge: Judge;
  /** Holes that must fit, once it is open, as they were last measured. */
  readonly openings: readonly GaugeProgress[];
  /** What the felting model expects: how far the line that lags is by now, and the reference rolls that are left; null without it. */
  readonly expected: { readonly progress: number; readonly rollsLeft: number } | null;
}

/** How far the line that lags is: as it was measured, or as far as it is expected to be by now. */
const progressBy = ({ forecast, expected }: Of): number =>
  Math.max(leastProgress(forecast), expected?.progress ?? 0);

/** Minutes of work on the inside, and reference rolls of one of them. Common practice. */
const INSIDE = {
  usual: 3,
  least: 0.5,
  perMinute: workOfAct({ kind: 'inside', minutes: 1 }, 'hot')?.rolls ?? 1,
};

/** The inside is worked as usual, or no longer than is left to its size. */
const insideMinutes = ({ expected }: Of): number => {
  if (!expected) return INSIDE.usual;
  const left = Math.floor((2 * expected.rollsLeft) / INSIDE.perMinute) / 2;
  return Math.min(INSIDE.usual, Math.max(INSIDE.least, left));
};

const minutes = (kind: string, count: number, reason: ProposedAct['reason']): ProposedAct => ({
  act: 'other',
  kind,
  count,
  reason,
});

/** What belongs to an opening, right after it: its edges, the inside, and turning out what was made so. */
const afterOpening = (state: BenchState, of: Of): ProposedAct | null => {
  const { habits, form } = of;
  if (state.workSinceOpen !== 0) return null;
  if (state.cutSinceEdges) return minutes('edge', 2, 'edges-open');
  if (!state.isResistOut || resistComesOut(form) === 'none') return null;
  if (habitOf(habits, 'inside') === 'last' && !state.isTurnedOut)
    return { act: 'other', kind: 'turnOut', reason: 'made-inside-out' };
  return minutes('inside', insideMinutes(of), 'inside-next');
};

/** The resist, when it is time for it: early, by size, or before the work ends. */
const resistAct = (state: BenchState, of: Of, isEnd: boolean): ProposedAct | null => {
  const { habits, form } = of;
  const how = resistComesOut(form);
  if (how === 'none' || state.isResistOut) return null;
  const when = habitOf(habits, 'resist');
  const isTime = when !== 'last' && skinHolds(state) && progressBy(of) >= COMES_OUT[when][how];
  if (!isEnd && !isTime) return null;
  return { act: 'open', what: how === 'cut' && !state.isCut ? 'cut' : 'resist-out', reason: 'time-to-open' };
};

/** A hole is measured where it was not yet, stretched where it is too small, and rubbed where it is too large. */
const holeAct = ({ openings, judge }: Of): ProposedAct | null => {
  if (judge === 'tape' && openings.some(o => !o.measured)) return { act: 'measure', reason: 'must-fit' };
  for (const about of openings.filter(o => o.measured)) {
    const { nowMm, gauge } = about;
    if (nowMm < gauge.wantedMm * (1 - SIZE_TOLERANCE)) return { act: 'stretch', reason: 'hole-small', about };
    if (nowMm > gauge.wantedMm * (1 + SIZE_TOLERANCE)) return { ...minutes('edge', 2, 'hole-wide'), about };
  }
  return null;
};

/** More cuts than these are made all at once: the cells of a grid. */
const MOST_ONE_BY_ONE = 12;

/** The next of several cuts, one by one: petals, each in its turn. */
const cutAct = (state: BenchState, of: Of, isEnd: boolean): ProposedAct | null => {
  const cuts = of.form.cuts.length;
  if (cuts < 2 || cuts > MOST_ONE_BY_ONE || state.cuts >= cuts) return null;
  const isTime = state.cuts > 0 || (skinHolds(state) && progressBy(of) >= COMES_OUT.size.cut) || isEnd;
  return isTime
    ? { act: 'open', what: 'cut', cut: state.cuts + 1, of: cuts, reason: 'cut-one-by-one' }
    : null;
};

/** What is done last by who does it so: edges trimmed, details with the needle, a hat over its form. */
const lastActs = (state: BenchState, { way, habits }: Of): ProposedAct | null => {
  const has = (id: (typeof way.habits)[number]): boolean => way.habits.includes(id);
  const done = (kind: string): boolean => (state.done[kind] ?? 0) > 0;
  if (has('edges') && habitOf(habits, 'edges') === 'trimmed') {
    if (!done('trim')) return { act: 'other', kind: 'trim', reason: 'edges-last' };
    if (state.cutSinceEdges) return minutes('edge', 2, 'edges-open');
  }
  if (has('needle') && habitOf(habits, 'needle') === 'after' && !done('needle'))
    return minutes('needle', 5, 'details-last');
  if (way.kit.includes('form') && !done('onForm'))
    return { act: 'other', kind: 'onForm', reason: 'form-last' };
  return null;
};

/**
 * What belongs to the way beside work and tests: edges folded in, the piece opened in time and by the right act, its edges and its
 * inside seen to, and what is done last. Null where nothing of it is next.
 * @param next what would be done else
 */
export const openingAct = (next: ProposedAct, state: BenchState, of: Of): ProposedAct | null => {
  const opened = afterOpening(state, of);
  if (opened) return opened;
  const isEnd = next.act === 'stop';
  // A length that does not fit is taken again before anything is cut.
  if (next.reason === 'does-not-fit') return null;
  const cut = cutAct(state, of, isEnd);
  if (cut) return cut;
  const resist = resistAct(state, of, isEnd);
  if (resist) return resist;
  const folds = of.way.habits.includes('edges') && habitOf(of.habits, 'edges') === 'folded';
  if (folds && next.act === of.way.shrink.kind && !(state.done['edgesIn'] ?? 0))
    return { act: 'other', kind: 'edgesIn', reason: 'edges-now' };
  return isEnd ? (holeAct(of) ?? lastActs(state, of)) : null;
};
