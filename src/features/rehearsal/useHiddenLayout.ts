import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { handOf } from '../../core/evenness/hand';
import type { Plan } from '../../core/plan/makePlan';
import type { Hidden } from '../../core/rehearsal/hidden';
import { hiddenLayout, paleSpots } from '../../core/rehearsal/hiddenLayout';
import { isScattered } from '../../core/wool/layOrder';
import type { PieceContext } from '../../session/pieceContext';
import { valueOf } from '../../session/jobError';
import { useRehearsal } from '../../session/rehearsal';

/** The felt nobody knows, with where its layout came out thin: simulated in the worker, once. A lesson that is not of it has an even one. */
export const useHiddenLayout = (context: PieceContext, plan: Plan): Hidden => {
  const { hidden, workshop, lesson } = useRehearsal();
  const { fibres } = context.piece.laying;
  const { foldOverMm } = context.piece.plan;
  const woolForm = context.wool?.form ?? 'tops';
  const ask = useMemo(
    () =>
      lesson
        ? null
        : hiddenLayout(plan, hidden, {
            hand: handOf(context.settings.hand),
            fibres,
            isScattered: isScattered(plan.form, woolForm),
          }),
    [lesson, plan, hidden, context.settings.hand, fibres, woolForm],
  );
  const { data } = useQuery({
    queryKey: ['hidden layout', ask],
    queryFn: async () =>
      ask && paleSpots({ ...ask, foldOverMm, ...valueOf(await workshop.workers.long.run('evenness', ask)) }),
    enabled: ask !== null,
    staleTime: Number.POSITIVE_INFINITY,
  });
  return useMemo(() => (data ? { ...hidden, spots: data } : hidden), [hidden, data]);
};
