import { type Act, controlOf } from '../acts/act';
import type { LogEntry } from '../log/entry';

/** A gap longer than this is rest, min. Common practice. */
const REST_MIN = 5;

/** Minutes that an act itself says it took; 0 where it says none. */
const ownMinutes = (act: Act): number => {
  const control = controlOf(act.kind);
  return control?.unit === 'min' ? (control.choicesOf(act).count ?? 0) : 0;
};

/**
 * Minutes of hands by a log: what passed between entries, gaps over five minutes left out but for what the act after the gap says it
 * took itself. What waits by itself counts nothing.
 * @param log in order, undone entries left out  @param msOf a stored time in ms since 1970
 */
export const handsMinutes = (log: readonly LogEntry[], msOf: (at: string) => number): number => {
  let sum = 0;
  let before: number | null = null;
  for (const { act, at } of log) {
    const now = msOf(at);
    const gap = before === null ? Number.POSITIVE_INFINITY : Math.max(0, (now - before) / 60_000);
    const own = ownMinutes(act);
    sum += gap <= REST_MIN ? gap : Math.min(gap, own);
    before = now;
  }
  return sum;
};
