/** What a workshop knows of time. The real one looks at the machine's clock; a rehearsal has one of its own. */
export interface Clock {
  /** Now, ms since 1970. */
  readonly nowMs: () => number;
  /** Tells every so many ms of its own time; gives what ends it. */
  readonly every: (ms: number, tell: () => void) => () => void;
}

export const systemClock: Clock = {
  nowMs: () => Date.now(),
  every: (ms, tell) => {
    const timer = setInterval(tell, ms);
    return () => clearInterval(timer);
  },
};

/** A time as it is stored: ISO 8601, UTC. @param ms since 1970 */
export const isoTime = (ms: number): string => new Date(ms).toISOString();

const two = (n: number): string => String(n).padStart(2, '0');

/** The day a moment is in where the felter is, as 2026-03-01. @param ms since 1970 */
export const dayOf = (ms: number): string => {
  const d = new Date(ms);
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
};

/** The day of a stored time where the felter is, as 2026-03-01. */
export const localDay = (iso: string): string => dayOf(Date.parse(iso));

/**
 * Writes moments where the felter is. To make what writes them costs a hundred times what writing does: it is made once for each distance from
 * UTC, so that a journey into another zone is followed.
 */
const written = (options: Intl.DateTimeFormatOptions): ((ms: number) => string) => {
  const made = new Map<number, Intl.DateTimeFormat>();
  return ms => {
    const zone = new Date(ms).getTimezoneOffset();
    const format = made.get(zone) ?? new Intl.DateTimeFormat('en-GB', options);
    made.set(zone, format);
    return format.format(ms);
  };
};
const TIME = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const;
const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;

/** A moment where the felter is, as they would say it: Sat 28 Nov, 14:05. @param ms since 1970 */
export const localMoment = written({ ...DAY, ...TIME });

/** A time of day where the felter is: 14:05. @param ms since 1970 */
export const localTime = written(TIME);

/** A day where the felter is, as they would say it: Sat 28 Nov. @param ms since 1970 */
export const sayDay = written(DAY);

/** When the felter's own day began, ms since 1970; a day of 23 or 25 hours begins at its midnight too. */
export const dayStartMs = (now: number): number => new Date(now).setHours(0, 0, 0, 0);
