import { useMemo } from 'react';
import { nextAct } from '../../core/advice/nextAct';
import { benchState } from '../../core/cycles/benchState';
import { progressForecast } from '../../core/forecast/progressForecast';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceStage } from '../../session/pieceStage';

/** Where the work stands: the log folded, the forecast from it, and the advice from both. */
export const useStanding = (stage: PieceStage, plan: Plan) => {
  const faces = useMemo(() => plan.form.faces.map((_, i) => i + 1), [plan.form]);
  const state = useMemo(() => benchState(stage.entries), [stage.entries]);
  const forecast = useMemo(() => progressForecast(plan.form.gauges, state), [plan.form, state]);
  const { setOfRolls } = stage.settings;
  const advice = useMemo(
    () => nextAct(state, forecast, { faces, setOfRolls }),
    [state, forecast, faces, setOfRolls],
  );
  return { faces, state, forecast, advice };
};

export type Standing = ReturnType<typeof useStanding>;
