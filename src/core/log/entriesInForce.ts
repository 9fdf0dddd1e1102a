import type { LogEntry } from './entry';

type Log = readonly LogEntry[];

const before = (a: LogEntry, b: LogEntry): number => a.seq - b.seq || (a.id < b.id ? -1 : 1);

const isInOrder = (log: Log): boolean =>
  log.every((entry, i) => {
    const last = log[i - 1];
    return last === undefined || before(last, entry) <= 0;
  });

/** The log in order of its sequence, whatever order it was stored in. */
const inOrder = (log: Log): Log => (isInOrder(log) ? log : log.toSorted(before));

/** Ids that are taken back: an undo that was itself taken back takes nothing. */
const taken = (ordered: Log): ReadonlySet<string> => {
  const gone = new Set<string>();
  for (const entry of ordered.toReversed())
    if (entry.act.kind === 'undo' && !gone.has(entry.id)) gone.add(entry.act.of);
  return gone;
};

/** What stands of a log, worked out once for each: a dozen questions are asked of the same log at every tap. */
const known = new WeakMap<Log, Log>();

/** Entries that stand: everything that was not taken back, the undo entries themselves left out. Pure; linear in the log. */
export const entriesInForce = (log: Log): Log => {
  const stood = known.get(log);
  if (stood) return stood;
  const ordered = inOrder(log);
  const gone = taken(ordered);
  const stands = ordered.filter(e => e.act.kind !== 'undo' && !gone.has(e.id));
  known.set(log, stands);
  return stands;
};

/** The entry that undo would take back now; null when nothing stands. */
export const nextUndo = (log: Log): LogEntry | null => entriesInForce(log).at(-1) ?? null;

/**
 * The undo entry that redo would take back now: the last of the log, when the log ends in undos.
 * Anything done since an undo makes it final, as people expect.
 */
export const nextRedo = (log: Log): LogEntry | null => {
  const ordered = inOrder(log);
  if (ordered.at(-1)?.act.kind !== 'undo') return null;
  const gone = taken(ordered);
  const undos = new Set(ordered.filter(e => e.act.kind === 'undo').map(e => e.id));
  for (const entry of ordered.toReversed()) {
    if (entry.act.kind !== 'undo') return null;
    if (!undos.has(entry.act.of) && !gone.has(entry.id)) return entry;
  }
  return null;
};
