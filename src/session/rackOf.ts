import { type Finishing, finishingOf } from '../core/finishing/finishingOf';
import type { FinishWait } from '../core/finishing/finishState';
import { type DriedPiece, ownDrying } from '../core/finishing/ownDrying';
import { benchLog, weighings } from '../core/log/logParts';
import { planOf } from '../core/plan/planOf';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { PieceSummary } from '../records/summary';
import { dryEach } from './laidEach';

/** A piece that waits: it soaks, dries or sets. */
export interface RackPlace {
  readonly piece: Piece;
  readonly wait: FinishWait;
  readonly finishing: Finishing;
}

/** A piece that may wait, with its whole log. */
export interface FinishingPiece {
  readonly piece: Piece;
  readonly log: readonly Entry[];
}

/** The pieces of which something was finished and that are not in the record: only those can wait. */
export const finishingIds = (summaries: readonly PieceSummary[]): readonly string[] =>
  summaries.filter(s => s.isFinishing && s.finishedAt === null && s.deletedAt === null).map(s => s.id);

/** Every drying that came to an end. */
export const driedIn = (summaries: readonly PieceSummary[]): readonly DriedPiece[] =>
  summaries.flatMap(s => (s.dried ? [s.dried] : []));

/** Everything that waits now, what is over first first. @param dried what drying took before */
export const rackOf = (
  finishing: readonly FinishingPiece[],
  dried: readonly DriedPiece[],
): readonly RackPlace[] =>
  finishing
    .flatMap(({ piece, log }): RackPlace[] => {
      const plan = planOf(piece.plan);
      if (!plan.ok) return [];
      const parts = { piece, entries: benchLog(log), weighings: weighings(log) };
      const stands = finishingOf(piece, plan.value, {
        log: parts.entries,
        plannedG: dryEach(parts, plan.value),
        own: air => ownDrying(dried, air),
        msOf: Date.parse,
      });
      return stands.waits.map(wait => ({ piece, wait, finishing: stands }));
    })
    .toSorted((a, b) => (a.wait.untilMs ?? Infinity) - (b.wait.untilMs ?? Infinity));
