import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Modelled } from '../../core/advice/modelAct';
import { workOfAct } from '../../core/acts/act';
import { feltedOf, formedOf } from '../../core/felting/feltedOf';
import type { Plan } from '../../core/plan/makePlan';
import { SIZE_TOLERANCE } from '../../core/tolerances';
import { valueOf } from '../../session/jobError';
import type { PieceStage } from '../../session/pieceStage';
import { useWorkshop } from '../../session/workshop';
import { useBelief } from './useBelief';

/**
 * What the felting model says of the piece, from the worker. Null until it has answered for the measurings there are; while a
 * later answer is on its way, the one before it stands, as long as nothing was measured since.
 */
export const useAdvised = (
  stage: PieceStage,
  plan: Plan,
  water: 'hot' | 'warm' | 'cold',
): {
  readonly modelled: Modelled | null;
  readonly isPending: boolean;
  /** Why there is no answer, and what asks again; null while there is one, or one is on its way. */
  readonly failure: { readonly text: string; readonly again: () => void } | null;
} => {
  const { workers } = useWorkshop();
  const { form } = plan;
  const { cushion, pressure, pace } = stage.settings;
  const hasDirections = !form.solid;
  const { belief, ownShare, pieces } = useBelief(stage);
  const felted = feltedOf(stage.entries, formedOf(form), belief);
  const intensity =
    workOfAct({ kind: 'roll', face: 1, directionDeg: 0, rolls: 1, cushion, pressure }, water)?.rolls ?? 1;
  const asked = {
    aim: {
      wanted: form.gauges.map(g => Math.log(g.wantedMm / g.laidMm)),
      tolerance: SIZE_TOLERANCE,
    },
    intensity,
    hasDirections,
    pace,
  };
  const { data, isFetching, error, refetch } = useQuery({
    queryKey: ['advised', felted, asked],
    queryFn: async () => valueOf(await workers.bench.run('advise', { felted, asked })),
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: 1,
  });
  const modelled: Modelled | null =
    data && data.measurings === felted.intervals.length && data.now.length === form.gauges.length
      ? { advised: data, intensity, since: felted.since, hasDirections, learntFrom: { ownShare, pieces } }
      : null;
  return {
    modelled,
    isPending: modelled === null && isFetching,
    failure: error && !isFetching ? { text: error.message, again: () => void refetch() } : null,
  };
};
