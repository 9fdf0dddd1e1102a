import type { Minute, Span } from '../core/schedule/task';
import type { Workplace } from '../records/workplace';
import { dayOf } from './clock';

const MINUTE_MS = 60_000;

/** A time of a day where the maker is, ms since 1970; a time that a change of clocks leaves out is an hour later. @param day as 2026-03-01 */
export const momentOf = (day: string, time: string): number => {
  const [year = 1970, month = 1, date = 1] = day.split('-').map(Number);
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return new Date(year, month - 1, date, hour, minute).getTime();
};

/** The day so many days on; days of 23 or 25 hours are days too. */
export const dayAfter = (day: string, days: number): string => {
  const [year = 1970, month = 1, date = 1] = day.split('-').map(Number);
  return dayOf(new Date(year, month - 1, date + days, 12).getTime());
};

const weekdayOf = (day: string): number => (new Date(momentOf(day, '12:00')).getDay() + 6) % 7;

/** How far ahead hours are looked at, and how far back, days. */
const HORIZON_DAYS = 366;
const PAST_DAYS = 28;

/** Minutes from `nowMs` to a moment. */
export const minutesTo = (ms: number, nowMs: number): Minute => Math.round((ms - nowMs) / MINUTE_MS);

type Hours = Pick<Workplace, 'hours' | 'daysOff'>;

/** A maker's hours on some days, days off left out: in order, in minutes from now. What overlaps is one. */
const hoursOn = (
  { hours, daysOff }: Hours,
  nowMs: number,
  of: { first: number; days: number },
): readonly Span[] => {
  const off = new Set(daysOff);
  const today = dayOf(nowMs);
  const spans: Span[] = [];
  for (let i = of.first; i < of.first + of.days; i += 1) {
    const day = dayAfter(today, i);
    if (off.has(day)) continue;
    const stretches = (hours[weekdayOf(day)] ?? []).toSorted((a, b) => (a.from < b.from ? -1 : 1));
    for (const { from, to } of stretches) {
      const start = minutesTo(momentOf(day, from), nowMs);
      const end = minutesTo(to === '24:00' ? momentOf(dayAfter(day, 1), '00:00') : momentOf(day, to), nowMs);
      const last = spans.at(-1);
      if (end <= start) continue;
      if (last && start <= last.end)
        spans[spans.length - 1] = { start: last.start, end: Math.max(last.end, end) };
      else spans.push({ start, end });
    }
  }
  return spans;
};

/** A maker's hours from now on. @param days how many, today among them */
export const hoursFrom = (workplace: Hours, nowMs: number, days: number = HORIZON_DAYS): readonly Span[] =>
  hoursOn(workplace, nowMs, { first: 0, days }).flatMap(({ start, end }) =>
    end > 0 ? [{ start: Math.max(0, start), end }] : [],
  );

/** A maker's hours of the last weeks, up to now: below nought. */
export const hoursBefore = (workplace: Hours, nowMs: number): readonly Span[] =>
  hoursOn(workplace, nowMs, { first: -PAST_DAYS, days: PAST_DAYS + 1 }).flatMap(({ start, end }) =>
    start < 0 ? [{ start, end: Math.min(0, end) }] : [],
  );

/** Things for a fair or a birthday are ready when its day begins; an order, when its day ends. */
const READY_BY = { order: '18:00', fair: '08:00', gift: '08:00' } as const;

/** When a promise must be ready, ms since 1970; null without a day. */
export const dueMs = (of: {
  readonly sort: keyof typeof READY_BY;
  readonly due: string | null;
}): number | null => (of.due === null ? null : momentOf(of.due, READY_BY[of.sort]));
