import type { Act } from '../acts/act';

/** What the body was asked to do. */
export interface BodyWork {
  readonly rolls: number;
  readonly rubs: number;
  readonly throws: number;
  /** Minutes at work, pauses left out. */
  readonly minutes: number;
  /** Rolls since the last pause. */
  readonly rollsSinceRest: number;
  /** Minutes since anything was logged; null where nothing was. */
  readonly minutesAgo: number | null;
}

/** A gap as long as this is a pause, and is not counted as work (common practice). */
const PAUSE_MS = 5 * 60_000;
const MINUTE_MS = 60_000;

/**
 * What the body did in a stretch of time. A clock that was set back counts no time; nothing is lost by it.
 * @param entries that stand, in the order they were done  @param from start of the stretch, ms  @param now ms
 */
export const bodyWork = (
  entries: ReadonlyArray<{ readonly atMs: number; readonly act: Act }>,
  from: number,
  now: number,
): BodyWork => {
  let [rolls, rubs, throws, worked, rollsSinceRest] = [0, 0, 0, 0, 0];
  let last: number | null = null;
  for (const { atMs, act } of entries) {
    if (atMs < from || atMs > now + MINUTE_MS) continue;
    const gap: number = last === null ? 0 : atMs - last;
    if (gap >= PAUSE_MS) rollsSinceRest = 0;
    else worked += Math.max(0, gap);
    last = Math.max(last ?? atMs, atMs);
    if (act.kind === 'roll') {
      rolls += act.rolls;
      rollsSinceRest += act.rolls;
    } else if (act.kind === 'rub') rubs += act.count;
    else if (act.kind === 'throw') throws += act.count;
  }
  const ago = last === null ? null : Math.max(0, now - last);
  return {
    rolls,
    rubs,
    throws,
    minutes: Math.round(worked / MINUTE_MS),
    rollsSinceRest: ago !== null && ago >= PAUSE_MS ? 0 : rollsSinceRest,
    minutesAgo: ago === null ? null : Math.floor(ago / MINUTE_MS),
  };
};
