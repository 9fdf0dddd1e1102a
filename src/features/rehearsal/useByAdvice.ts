import { useQueries } from '@tanstack/react-query';
import { pointsOf } from '../../core/rehearsal/curveOf';
import { type FeltTruth, rehearse } from '../../core/rehearsal/rehearse';
import type { PieceContext } from '../../session/pieceContext';
import { valueOf } from '../../session/jobError';
import { useRehearsal } from '../../session/rehearsal';
import { usePrior } from '../../session/usePrior';
import type { useRehearsed } from './useRehearsed';

/** What the advice alone would have made of the same felt from a point of the log on. */
export interface ByAdvice {
  /** Steps of the maker's own before it, none where it played from the beginning. */
  readonly own: number;
  /** Steps that it took from there. */
  readonly steps: number;
  readonly truth: FeltTruth;
}

/** So many points of one's own log are played on from, besides its beginning. */
const MOST_POINTS = 8;

/**
 * What the advice alone would have made of the same felt: from the beginning, and where that is asked for from points all along the log. Played
 * in the worker, one after the other.
 */
export const useByAdvice = (
  context: PieceContext,
  known: NonNullable<ReturnType<typeof useRehearsed>>,
  fromEach: boolean,
) => {
  const { hidden, workshop, begunSeq } = useRehearsal();
  const { belief } = usePrior(context);
  const { setOfRolls, pace } = context.settings;
  const { entries } = known.truth;
  const begun = entries.findLastIndex(e => e.seq <= begunSeq) + 1;
  const points = fromEach ? pointsOf(begun, entries.length, MOST_POINTS) : [begun];
  return useQueries({
    queries: points.map(point => ({
      queryKey: ['by advice', hidden.seed, known.setup, entries.slice(0, point).map(e => e.id)],
      queryFn: async (): Promise<ByAdvice> => {
        const log = entries.slice(0, point);
        const ask = { setup: known.setup, hidden, player: { pace, setOfRolls, belief }, log };
        const played = valueOf(valueOf(await workshop.workers.long.run('playAdvice', ask)));
        return {
          own: point - begun,
          steps: played.log.length - point,
          truth: rehearse(known.rehearsed, hidden, played.log),
        };
      },
      staleTime: Number.POSITIVE_INFINITY,
      retry: 1,
    })),
    combine: all => ({
      asked: all.length,
      played: all.flatMap(one => (one.data ? [one.data] : [])),
      error: all.find(one => one.error)?.error ?? null,
      again: () => {
        for (const one of all) if (one.error) void one.refetch();
      },
    }),
  });
};
