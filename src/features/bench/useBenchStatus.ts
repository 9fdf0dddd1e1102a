import { useMemo } from 'react';
import type { Reason } from '../../core/advice/proposedAct';
import { nextAct, workOn } from '../../core/advice/nextAct';
import { isOneByOne, manyAct } from '../../core/advice/manyAct';
import { recipeAct } from '../../core/advice/recipeAct';
import { benchState } from '../../core/log/benchState';
import { manyAlike } from '../../core/log/manyAlike';
import { progressForecast } from '../../core/forecast/progressForecast';
import { linesNow } from '../../core/forms/fits';
import { wettedWhileLaid } from '../../core/wool/layProgress';
import { actsOf, wayOf } from '../../core/ways/register';
import { sidesOf } from '../../core/ways/sidesOf';
import { followed } from '../../core/recipe/following';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceContext } from '../../session/pieceContext';
import { pieceWording } from '../../words/pieceWording';
import { useOwnUsual } from './useOwnUsual';
import { usePieceForecast } from './usePieceForecast';

/** What needs no model: the felt is not rolled yet. */
const EARLY: ReadonlySet<Reason> = new Set(['dry-face', 'no-skin-yet', 'skin-to-test', 'hairs-through']);

/** What a hole asks for that must fit: where that is put off, the rest goes on. */
const OPENINGS: ReadonlySet<Reason> = new Set(['must-fit', 'hole-small']);

/** Sides of a sheet. */
const FRONT_AND_BACK: readonly number[] = [1, 2];

/** Where the work stands: the log folded, the forecast from it, and the advice from both. */
export const useBenchStatus = (context: PieceContext, plan: Plan) => {
  const way = wayOf(plan.kind, plan.form, context.piece.way);
  const faces = useMemo(() => sidesOf(plan.form, way), [plan.form, way]);
  const legs = useMemo(() => (way.hasBack ? FRONT_AND_BACK : faces), [way.hasBack, faces]);
  // Where no size is to be reached there is nothing to measure against.
  const judge = plan.form.asItComes ? 'feel' : context.piece.judge;
  const usual = useOwnUsual(context.settings);
  const state = useMemo(
    () => benchState(context.entries, wettedWhileLaid(context.layings.map(e => e.act))),
    [context.entries, context.layings],
  );
  const lines = useMemo(() => linesNow(plan.form, state.isCut), [plan.form, state.isCut]);
  const forecast = useMemo(
    () => progressForecast(lines.modelled.slice(0, lines.measurable), state),
    [lines, state],
  );
  const openings = useMemo(() => progressForecast(lines.openings, state).gaugeProgress, [lines, state]);
  const { model, isPending, isFetching, failure } = usePieceForecast(context, plan, {
    water: state.water ?? 'hot',
    way,
    lines,
  });
  const { setOfRolls } = context.settings;
  const { recipe } = context.piece;
  const following = useMemo(
    () =>
      recipe &&
      followed(recipe, context.entries, {
        faces,
        legs,
        judge,
        hasDirections: way.hasDirections,
        wetted: wettedWhileLaid(context.layings.map(e => e.act)),
      }),
    [recipe, context.entries, context.layings, faces, legs, judge, way.hasDirections],
  );
  const { habits } = context.piece;
  const [alone, onward] = useMemo(() => {
    const worked = { faces, legs, setOfRolls, way };
    const { form } = plan;
    const advise = (holes: typeof openings) =>
      nextAct(state, forecast, { ...worked, model, form, plan: form, openings: holes, judge, habits });
    const advised = advise(openings);
    return [advised, OPENINGS.has(advised.reason) ? advise([]) : workOn(state, forecast, worked)] as const;
  }, [state, forecast, openings, model, plan, judge, habits, faces, legs, setOfRolls, way]);
  const { pieces } = context.piece.plan;
  const oneByOne = isOneByOne(way, pieces);
  const many = manyAlike(context.entries);
  const one = recipeAct(alone, following, { model, gaugeProgress: forecast.gaugeProgress });
  const proposed = oneByOne ? manyAct(one, many, { pieces, way, judge }) : one;
  const faceCount = plan.form.faces.length;
  const { units } = context.settings;
  const wording = useMemo(() => pieceWording(way, faceCount, units), [way, faceCount, units]);
  /** True while the answer that the advice hangs on is on its way: nothing is proposed that would change under the hand. */
  const isComputing = isPending && !EARLY.has(alone.reason);
  return {
    way,
    judge,
    /** How this maker usually does it. */
    usual,
    acts: actsOf(way, plan.form.gauges),
    isComputing,
    /** A later answer is on its way, and may change what is proposed. */
    isFetching,
    faces,
    /** Sides that are rolled. */
    legs,
    state,
    forecast,
    /** Its lines as they are now. */
    gauges: lines.modelled,
    /** Holes that must fit, once it is open. */
    openings,
    proposed,
    /** Many alike that are worked one after the other; null where there is one, or they go side by side. */
    many: oneByOne ? many : null,
    /** What is done where that is put off: the work goes on. */
    onward,
    following,
    model,
    failure,
    wording,
  };
};

export type BenchStatus = ReturnType<typeof useBenchStatus>;
