import { useMemo } from 'react';
import type { Reason } from '../../core/advice/advice';
import { nextAct } from '../../core/advice/nextAct';
import { recipeAct } from '../../core/advice/recipeAct';
import { benchState } from '../../core/log/benchState';
import { progressForecast } from '../../core/forecast/progressForecast';
import { wettedWhileLaid } from '../../core/wool/layProgress';
import { followed } from '../../core/recipe/following';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceStage } from '../../session/pieceStage';
import type { Spoken } from '../../core/acts/actSpec';
import { faultName } from './benchWords';
import { useAdvised } from './useAdvised';

/** What needs no model: the felt is not rolled yet. */
const EARLY: ReadonlySet<Reason> = new Set(['dry-face', 'no-skin-yet', 'skin-to-test']);

/** Where the work stands: the log folded, the forecast from it, and the advice from both. */
export const useStanding = (stage: PieceStage, plan: Plan) => {
  const faces = useMemo(() => plan.form.faces.map((_, i) => i + 1), [plan.form]);
  const state = useMemo(
    () => benchState(stage.entries, wettedWhileLaid(stage.layings.map(e => e.act))),
    [stage.entries, stage.layings],
  );
  const forecast = useMemo(() => progressForecast(plan.form.gauges, state), [plan.form, state]);
  const { modelled, isPending, failure } = useAdvised(stage, plan, state.water ?? 'hot');
  const { setOfRolls } = stage.settings;
  const { recipe } = stage.piece;
  const following = useMemo(
    () =>
      recipe &&
      followed(recipe, stage.entries, {
        faces,
        hasDirections: !plan.form.solid,
        wetted: wettedWhileLaid(stage.layings.map(e => e.act)),
      }),
    [recipe, stage.entries, stage.layings, faces, plan.form],
  );
  const alone = nextAct(state, forecast, { faces, setOfRolls, modelled, form: plan.form });
  const advice = recipeAct(alone, following, { modelled, stands: forecast.stands });
  const spoken: Spoken = {
    faces: faces.length,
    isSolid: Boolean(plan.form.solid),
    units: stage.settings.units,
    faultName,
  };
  /** True while the answer that the advice hangs on is on its way: nothing is proposed that would change under the hand. */
  const isReckoning = isPending && !EARLY.has(alone.reason);
  return { isReckoning, faces, state, forecast, advice, following, modelled, failure, spoken };
};

export type Standing = ReturnType<typeof useStanding>;
