import type { Entry } from '../records/entry';

/** What was logged since a time, ms, by the id of its piece; in the order it is handed in. */
export const logsSince = (
  entries: readonly Entry[],
  fromMs: number,
): ReadonlyMap<string, readonly Entry[]> => {
  const logs = new Map<string, Entry[]>();
  for (const e of entries) {
    if (Date.parse(e.at) < fromMs) continue;
    const log = logs.get(e.pieceId);
    if (log) log.push(e);
    else logs.set(e.pieceId, [e]);
  }
  return logs;
};
