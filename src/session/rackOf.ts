import { driedPieces } from '../core/finishing/driedPieces';
import { type Finishing, finishingOf } from '../core/finishing/finishingOf';
import type { FinishWait } from '../core/finishing/finishState';
import { ownDrying } from '../core/finishing/ownDrying';
import { benchLog, weighings } from '../core/log/logParts';
import { planOf } from '../core/plan/planOf';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import { dryEach } from './laidEach';
import { logsSince } from './logsSince';

/** A piece that waits: it soaks, dries or sets. */
export interface RackPlace {
  readonly piece: Piece;
  readonly wait: FinishWait;
  readonly finishing: Finishing;
}

/** Logs of the pieces of which something was finished. */
export const finishingLogs = (entries: readonly Entry[]): ReadonlyMap<string, readonly Entry[]> => {
  const begun = new Set(entries.flatMap(e => (e.act.kind === 'finish' ? [e.pieceId] : [])));
  return begun.size === 0
    ? new Map()
    : logsSince(
        entries.filter(e => begun.has(e.pieceId)),
        0,
      );
};

/** Everything that waits now, what is over first first. @param pieces all of them, deleted ones too */
export const rackOf = (pieces: readonly Piece[], entries: readonly Entry[]): readonly RackPlace[] => {
  const logs = finishingLogs(entries);
  if (logs.size === 0) return [];
  const dried = driedPieces(pieces, logs, Date.parse);
  return pieces
    .filter(p => logs.has(p.id) && p.deletedAt === null && p.result.finishedAt === null)
    .flatMap((piece): RackPlace[] => {
      const plan = planOf(piece.plan);
      const log = logs.get(piece.id) ?? [];
      if (!plan.ok) return [];
      const parts = { piece, entries: benchLog(log), weighings: weighings(log) };
      const finishing = finishingOf(piece, plan.value, {
        log: parts.entries,
        plannedG: dryEach(parts, plan.value),
        own: air => ownDrying(dried, air),
        msOf: Date.parse,
      });
      return finishing.waits.map(wait => ({ piece, wait, finishing }));
    })
    .toSorted((a, b) => (a.wait.untilMs ?? Infinity) - (b.wait.untilMs ?? Infinity));
};
