import type { DriedPiece } from '../core/finishing/ownDrying';
import type { PieceSummary } from '../records/summary';

/** The pieces of which something was finished and that are not in the record: only those can wait. */
export const finishingIds = (summaries: readonly PieceSummary[]): readonly string[] =>
  summaries.filter(s => s.isFinishing && s.finishedAt === null && s.deletedAt === null).map(s => s.id);

/** Every drying that came to an end. */
export const driedIn = (summaries: readonly PieceSummary[]): readonly DriedPiece[] =>
  summaries.flatMap(s => (s.dried ? [s.dried] : []));
