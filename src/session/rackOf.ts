import { type Finishing, finishingOf } from '../core/finishing/finishingOf';
import type { FinishWait } from '../core/finishing/finishState';
import { type DriedPiece, ownDrying } from '../core/finishing/ownDrying';
import { benchLog, weighings } from '../core/log/logParts';
import { planOf } from '../core/plan/planOf';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
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
