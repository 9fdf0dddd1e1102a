import type { Act, LogEntry } from './entry';
import { standing } from './standing';

/** An entry that weighed a pile. */
export interface WeighEntry extends LogEntry {
  readonly act: Extract<Act, { readonly kind: 'weigh' }>;
}

const isWeighing = (entry: LogEntry): entry is WeighEntry => entry.act.kind === 'weigh';

/** Ids of weighings, and of undos of them, and of undos of those. */
const aboutWeighing = (log: readonly LogEntry[]): ReadonlySet<string> => {
  const found = new Set(log.filter(isWeighing).map(e => e.id));
  for (const e of log.toSorted((a, b) => a.seq - b.seq))
    if (e.act.kind === 'undo' && found.has(e.act.of)) found.add(e.id);
  return found;
};

/** The log of the bench: all but the weighings, and what took those back. */
export const benchLog = <E extends LogEntry>(log: readonly E[]): readonly E[] => {
  const weighing = aboutWeighing(log);
  return log.filter(e => !weighing.has(e.id));
};

/** The weighings that stand, in order. */
export const weighings = (log: readonly LogEntry[]): readonly WeighEntry[] =>
  standing(log).filter(isWeighing);
