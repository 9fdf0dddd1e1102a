import { workOfAct } from '../acts/act';
import type { LogEntry } from './entry';
import { entriesInForce } from './entriesInForce';

/** Where a piece is in its life. */
export type Stage = 'planned' | 'bench' | 'drying' | 'finished';

/** The stage of a piece from its log and whether it was put in the record. */
export const stageOf = (log: readonly LogEntry[], finishedAt: string | null): Stage => {
  if (finishedAt !== null) return 'finished';
  const entries = entriesInForce(log);
  // Put to dry and not worked since; dry or not, it is off the bench until it is recorded.
  const dries = entries.findLastIndex(e => e.act.kind === 'finish' && e.act.step === 'dry');
  const worked = entries.findLastIndex(e => workOfAct(e.act, 'hot') !== null);
  return dries > worked ? 'drying' : entries.length > 0 ? 'bench' : 'planned';
};
