import type { Entry } from '../records/entry';

const DAY_MS = 24 * 3_600_000;

/** What was logged since a time, ms, by the id of its piece; in the order it is handed in. */
export const logsSince = (
  entries: readonly Entry[],
  fromMs: number,
): ReadonlyMap<string, readonly Entry[]> => {
  // Whatever zone a time was written in, one whose text is a day earlier is earlier: thousands are asked at every tap.
  const dayBefore = new Date(fromMs - DAY_MS).toISOString();
  const logs = new Map<string, Entry[]>();
  for (const e of entries) {
    if (e.at < dayBefore || Date.parse(e.at) < fromMs) continue;
    const log = logs.get(e.pieceId);
    if (log) log.push(e);
    else logs.set(e.pieceId, [e]);
  }
  return logs;
};
