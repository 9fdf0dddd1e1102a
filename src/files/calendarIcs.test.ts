import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import type { CalendarEvent } from '../core/schedule/calendarEvents';
import { calendarIcs } from './calendarIcs';

const MINUTE = 60_000;
const event = (
  n: number,
  startMs: number,
  minutes: number,
  of: Partial<CalendarEvent> = {},
): CalendarEvent => ({
  uid: `work-${n}.1@jorrit.local`,
  title: `Felt: 12 × Balls, ${n} of 9`,
  notes: 'From the schedule of your felting workshop.',
  startMs,
  endMs: startMs + minutes * MINUTE,
  ...of,
});

/** The events of a file, as an independent reader has them. */
const eventsOf = (ics: string) =>
  new ICAL.Component(ICAL.parse(ics)).getAllSubcomponents('vevent').map(c => {
    const e = new ICAL.Event(c);
    return {
      uid: e.uid,
      title: e.summary,
      notes: e.description,
      startMs: e.startDate.toJSDate().getTime(),
      endMs: e.endDate.toJSDate().getTime(),
      zone: e.startDate.zone.tzid,
      sequence: e.sequence,
      alarms: c.getAllSubcomponents('valarm').map(a => String(a.getFirstPropertyValue('trigger'))),
    };
  });

const write = (events: readonly CalendarEvent[], madeMs: number, alarmMin: number | null = 10): string => {
  const made = calendarIcs(events, { madeMs, alarmMin });
  if (!made.ok) throw new Error('not written');
  return made.value;
};
const MADE = Date.UTC(2026, 10, 28, 10, 0);

describe('a calendar file', () => {
  // Read back by ical.js, an independent reader of RFC 5545.
  it('has every stretch at its own time, to the minute, with its zone and its alarm', () => {
    const days = [
      // An evening; over midnight; the night on which clocks go forward, and back, in Europe; a leap day; the turn of the year.
      Date.UTC(2026, 10, 28, 18, 0),
      Date.UTC(2026, 10, 28, 22, 45),
      Date.UTC(2027, 2, 28, 0, 45),
      Date.UTC(2026, 9, 25, 0, 45),
      Date.UTC(2028, 1, 29, 9, 0),
      Date.UTC(2026, 11, 31, 23, 30),
    ];
    const events = days.map((ms, i) => event(i, ms, 15 + 45 * i));
    const read = eventsOf(write(events, MADE));
    expect(
      read.map(({ uid, title, notes, startMs, endMs }) => ({ uid, title, notes, startMs, endMs })),
    ).toEqual(events);
    expect(new Set(read.map(e => e.zone))).toEqual(new Set(['UTC']));
    expect(read.every(e => e.alarms.join() === '-PT10M')).toBe(true);
    expect(eventsOf(write(events, MADE, null)).every(e => e.alarms.length === 0)).toBe(true);
  });

  it('keeps names with commas, semicolons, quotes, lines and letters of any script whole', () => {
    const title = 'Felt: “Mütze, rot”; 2 × größer\\kleiner, 毛氈 🧶';
    const notes = 'first line\nsecond; line, with a comma';
    const [read] = eventsOf(write([event(1, MADE, 30, { title, notes })], MADE));
    expect(read).toMatchObject({ title, notes });
  });

  it('written again, the same work has the same name and a higher number: it is updated, not doubled', () => {
    const first = eventsOf(write([event(1, MADE, 30), event(2, MADE + 60 * MINUTE, 30)], MADE));
    const later = eventsOf(
      write([event(1, MADE + 90 * MINUTE, 45), event(2, MADE + 60 * MINUTE, 30)], MADE + 5 * MINUTE),
    );
    // As a calendar takes it in: by name, the higher number wins.
    const calendar = new Map(first.map(e => [e.uid, e]));
    for (const e of later) if (e.sequence > (calendar.get(e.uid)?.sequence ?? -1)) calendar.set(e.uid, e);
    expect([...calendar.values()].map(e => [e.uid, e.startMs])).toEqual([
      ['work-1.1@jorrit.local', MADE + 90 * MINUTE],
      ['work-2.1@jorrit.local', MADE + 60 * MINUTE],
    ]);
  });

  it('of hundreds of stretches is read whole', () => {
    const events = Array.from({ length: 400 }, (_, i) => event(i, MADE + i * 60 * MINUTE, 45));
    expect(eventsOf(write(events, MADE))).toHaveLength(400);
  });
});
