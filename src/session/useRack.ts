import { useDeferredValue, useMemo } from 'react';
import { type Finishing, finishingOf } from '../core/finishing/finishingOf';
import type { FinishWait } from '../core/finishing/finishState';
import { layings, weighings, benchLog } from '../core/log/logParts';
import { planOf } from '../core/plan/planOf';
import type { Piece } from '../records/piece';
import { laidEach } from './laidEach';
import { logsSince } from './logsSince';
import { useOwnDrying } from './useOwnDrying';
import { useAllEntries, usePieces } from './useRecords';

/** A piece that waits: it soaks, dries or sets. */
export interface RackPlace {
  readonly piece: Piece;
  readonly wait: FinishWait;
  readonly finishing: Finishing;
}

/** Everything that waits now, what is over first first. */
export const useRack = (): readonly RackPlace[] => {
  const pieces = usePieces();
  const entries = useDeferredValue(useAllEntries());
  const own = useOwnDrying();
  return useMemo(() => {
    const begun = new Set(entries.flatMap(e => (e.act.kind === 'finish' ? [e.pieceId] : [])));
    if (begun.size === 0) return [];
    const logs = logsSince(
      entries.filter(e => begun.has(e.pieceId)),
      0,
    );
    return (pieces ?? [])
      .filter(p => begun.has(p.id) && p.result.finishedAt === null)
      .flatMap((piece): RackPlace[] => {
        const plan = planOf(piece.plan);
        const log = logs.get(piece.id) ?? [];
        if (!plan.ok) return [];
        const parts = { piece, entries: benchLog(log), weighings: weighings(log), layings: layings(log) };
        const laidG = laidEach(parts, plan.value);
        const finishing = finishingOf(piece, plan.value, {
          log: parts.entries,
          plannedG: laidG === null ? null : laidG * piece.plan.keptShare,
          own,
          msOf: Date.parse,
        });
        return finishing.waits.map(wait => ({ piece, wait, finishing }));
      })
      .toSorted((a, b) => (a.wait.untilMs ?? Infinity) - (b.wait.untilMs ?? Infinity));
  }, [pieces, entries, own]);
};
