import { type ActOf, actPlace } from '../acts/act';
import type { LogEntry } from './entry';
import { entriesInForce } from './entriesInForce';

type EntryOf<K extends 'weigh' | 'lay' | 'addWool'> = LogEntry & { readonly act: ActOf<K> };
export type WeighEntry = EntryOf<'weigh'>;
export type LayEntry = EntryOf<'lay'>;

const isWeighing = (entry: LogEntry): entry is WeighEntry => entry.act.kind === 'weigh';
const isLaying = (entry: LogEntry): entry is LayEntry => entry.act.kind === 'lay';

/** Ids of what stands beside the bench (piles weighed, layers laid), of undos of that, and of undos of those. */
const besideBench = (log: readonly LogEntry[]): ReadonlySet<string> => {
  const found = new Set(log.filter(e => actPlace(e.act.kind) === 'beside').map(e => e.id));
  if (found.size === 0) return found;
  for (const e of log.toSorted((a, b) => a.seq - b.seq))
    if (e.act.kind === 'undo' && found.has(e.act.of)) found.add(e.id);
  return found;
};

/** The log of the bench: all but weighing and laying, and what took those back. */
export const benchLog = <E extends LogEntry>(log: readonly E[]): readonly E[] => {
  const beside = besideBench(log);
  if (beside.size === 0) return log;
  return log.filter(e => !beside.has(e.id));
};

/** The weighings that stand, in order. A pile that was weighed again counts as it was weighed last. */
export const weighings = (log: readonly LogEntry[]): readonly WeighEntry[] => {
  const all = entriesInForce(log).filter(isWeighing);
  const last = new Map(all.map(e => [e.act.pile, e]));
  return all.filter(e => last.get(e.act.pile) === e);
};

/** Wool that was added beside the plan, in order. */
export const woolAdded = (log: readonly LogEntry[]): ReadonlyArray<EntryOf<'addWool'>> =>
  entriesInForce(log).filter((e): e is EntryOf<'addWool'> => e.act.kind === 'addWool');

/** Grams of it, all wools together. */
export const gramsAdded = (log: readonly LogEntry[]): number =>
  woolAdded(log).reduce((sum, e) => sum + e.act.grams, 0);

/** The steps of laying that stand, in order. */
export const layings = (log: readonly LogEntry[]): readonly LayEntry[] =>
  entriesInForce(log).filter(isLaying);
