import type { LogEntry } from './entry';

/** The log in order of its sequence, whatever order it was stored in. */
const inOrder = (log: readonly LogEntry[]): readonly LogEntry[] =>
  log.toSorted((a, b) => a.seq - b.seq || a.id.localeCompare(b.id));

const taken = (log: readonly LogEntry[]): ReadonlySet<string> => {
  const gone = new Set<string>();
  for (const entry of inOrder(log).toReversed())
    if (entry.act.kind === 'undo' && !gone.has(entry.id)) gone.add(entry.act.of);
  return gone;
};

/** Entries that stand: everything that was not taken back, the undo entries themselves left out. */
export const standing = (log: readonly LogEntry[]): readonly LogEntry[] => {
  const gone = taken(log);
  return inOrder(log).filter(e => e.act.kind !== 'undo' && !gone.has(e.id));
};

/** The entry that undo would take back now; null when nothing stands. */
export const nextUndo = (log: readonly LogEntry[]): LogEntry | null => standing(log).at(-1) ?? null;

/**
 * The undo entry that redo would take back now: the last of the log, when the log ends in undos.
 * Anything done since an undo makes it final, as people expect.
 */
export const nextRedo = (log: readonly LogEntry[]): LogEntry | null => {
  const ordered = inOrder(log);
  const gone = taken(log);
  for (const entry of ordered.toReversed()) {
    if (entry.act.kind !== 'undo') return null;
    const ofUndo =
      ordered.find(e => e.id === (entry.act.kind === 'undo' ? entry.act.of : ''))?.act.kind === 'undo';
    if (!ofUndo && !gone.has(entry.id)) return entry;
  }
  return null;
};
