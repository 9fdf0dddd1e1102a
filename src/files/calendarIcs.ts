import { createEvents, type EventAttributes } from 'ics';
import type { CalendarEvent } from '../core/schedule/calendarEvents';
import { issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';

/** A calendar file counts its issues from here: minutes since then are its sequence number (RFC 5545 §3.8.7.4). */
const SEQUENCE_FROM_MS = Date.UTC(2026, 0, 1);

/**
 * A schedule as iCalendar, times in UTC.
 * Source: RFC 5545. A second file with the same UIDs and a higher sequence number updates the first (§3.8.7.4).
 * @param of.madeMs when it is written, ms since 1970  @param of.alarmMin minutes before each at which the calendar rings; null for none
 */
export const calendarIcs = (
  events: readonly CalendarEvent[],
  of: { readonly madeMs: number; readonly alarmMin: number | null },
): Result<string> => {
  const { error, value } = createEvents(
    events.map((e): EventAttributes => ({
      uid: e.uid,
      title: e.title,
      description: e.notes,
      start: e.startMs,
      end: e.endMs,
      startOutputType: 'utc',
      endOutputType: 'utc',
      sequence: Math.max(0, Math.floor((of.madeMs - SEQUENCE_FROM_MS) / 60_000)),
      productId: 'jorrit/schedule',
      calName: 'Felting',
      busyStatus: 'BUSY',
      ...(of.alarmMin === null
        ? {}
        : {
            alarms: [
              {
                action: 'display' as const,
                description: e.title,
                trigger: { minutes: of.alarmMin, before: true },
              },
            ],
          }),
    })),
  );
  return typeof value !== 'string'
    ? err(issue('WORK_FAILED', 'calendar', { detail: error?.message ?? '' }))
    : ok(value);
};
