import type { ModelAnswer } from '../../core/advice/modelAct';
import type { Water } from '../../core/acts/vocabulary';
import { shrinkOf, workOfOne } from '../../core/ways/shrinkOf';
import type { Way } from '../../core/ways/way';
import { feltingRecordOf, formForModel } from '../../core/felting/feltingRecordOf';
import type { LinesNow } from '../../core/forms/fits';
import type { Plan } from '../../core/plan/makePlan';
import { SIZE_TOLERANCE } from '../../core/tolerances';
import { valueOf } from '../../session/jobError';
import type { PieceContext } from '../../session/pieceContext';
import { useCalmAnswer } from '../../session/useCalm';
import { useWorkshop } from '../../session/workshop';
import { usePrior } from '../../session/usePrior';

/**
 * What the felting model says of the piece, from the worker. Null until it has answered for the measurings there are; while a
 * later answer is on its way, the one before it stands, as long as nothing was measured since.
 */
export const usePieceForecast = (
  context: PieceContext,
  plan: Plan,
  of: { readonly water: Water; readonly way: Way; readonly lines: LinesNow },
): {
  readonly model: ModelAnswer | null;
  readonly isPending: boolean;
  /** Whether a later answer is on its way. */
  readonly isFetching: boolean;
  /** Why there is no answer, and what asks again; null while there is one, or one is on its way. */
  readonly failure: { readonly text: string; readonly again: () => void } | null;
} => {
  const { workers } = useWorkshop();
  const { form } = plan;
  const { water, way, lines } = of;
  const gauges = lines.modelled;
  const { pace } = context.settings;
  const { hasDirections } = way;
  const { belief, ownShare, pieces } = usePrior(context);
  const record = feltingRecordOf(context.entries, formForModel(form, gauges), belief);
  const shrink = shrinkOf(way, form.gauges);
  const perUnit = workOfOne(shrink.kind, context.settings, water);
  // What is not rolled is planned in reference rolls, and told in its own minutes.
  const intensity = shrink.kind === 'roll' ? perUnit : 1;
  const goal = {
    targets: {
      wanted: gauges.map(g => Math.log(g.wantedMm / g.laidMm)),
      tolerance: SIZE_TOLERANCE,
    },
    intensity,
    hasDirections,
    pace,
  };
  const answer = useCalmAnswer({
    queryKey: ['forecast', record, goal],
    queryFn: async () => valueOf(await workers.bench.run('forecastPiece', { record, goal })),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: 1,
  });
  const { data, isFetching = true, error = null, refetch } = answer ?? {};
  const model: ModelAnswer | null =
    data && data.measurings === record.intervals.length && data.now.length === gauges.length
      ? {
          pieceForecast: data,
          intensity,
          perUnit,
          since: record.since,
          hasDirections,
          learntFrom: { ownShare, pieces },
        }
      : null;
  return {
    model,
    isPending: model === null && isFetching,
    isFetching,
    failure: error && !isFetching ? { text: error.message, again: () => void refetch?.() } : null,
  };
};
