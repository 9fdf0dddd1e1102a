import type { LogEntry } from './entry';
import { entriesInForce } from './entriesInForce';

/** Where a piece is in its life. */
export type Stage = 'planned' | 'bench' | 'finished';

/** The stage of a piece from its log and whether it was put in the record. */
export const stageOf = (log: readonly LogEntry[], finishedAt: string | null): Stage =>
  finishedAt !== null ? 'finished' : entriesInForce(log).length > 0 ? 'bench' : 'planned';
