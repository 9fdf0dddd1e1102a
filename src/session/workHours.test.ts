import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { dayOf } from './clock';
import { dayAfter, dueMs, hoursBefore, hoursFrom, minutesTo, momentOf } from './workHours';

const EVENINGS = Array.from({ length: 7 }, () => [{ from: '19:00', to: '21:00' }]);
const NIGHT = Array.from({ length: 7 }, () => [{ from: '01:00', to: '05:00' }]);
const lengths = (spans: readonly { start: number; end: number }[]): readonly number[] =>
  spans.map(s => s.end - s.start);

describe('a maker’s hours', () => {
  // Source: EU directive 2000/84/EC: clocks go forward on the last Sunday of March and back on the last of October, at 01:00 UTC.
  beforeEach(() => {
    vi.stubEnv('TZ', 'Europe/Berlin');
  });
  afterEach(() => {
    vi.unstubAllEnvs();
  });

  it('begin now, leave days off out, and go on for as many days as asked', () => {
    const now = Date.parse('2026-11-28T19:30:00.000Z');
    const spans = hoursFrom({ hours: EVENINGS, daysOff: ['2026-11-30'] }, now, 4);
    // 20:30 where the maker is: half an hour is left; Sunday; Monday off; Tuesday.
    expect(spans).toEqual([
      { start: 0, end: 30 },
      { start: 22 * 60 + 30, end: 24 * 60 + 30 },
      { start: 70 * 60 + 30, end: 72 * 60 + 30 },
    ]);
  });

  it('on the night the clocks go forward an hour is not there, and back it is there twice', () => {
    const spring = Date.parse('2026-03-28T12:00:00.000Z');
    expect(lengths(hoursFrom({ hours: NIGHT, daysOff: [] }, spring, 3))).toEqual([180, 240]);
    const autumn = Date.parse('2026-10-24T12:00:00.000Z');
    expect(lengths(hoursFrom({ hours: NIGHT, daysOff: [] }, autumn, 3))).toEqual([300, 240]);
    // Evenings stay at seven by the clock on the wall, whatever the hour in UTC.
    for (const now of [spring, autumn])
      for (const { start } of hoursFrom({ hours: EVENINGS, daysOff: [] }, now, 4))
        expect(new Date(now + start * 60_000).getHours()).toBe(19);
  });

  it('a day is the day after, in months of any length and in leap years', () => {
    expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29');
    expect(dayAfter('2028-02-29', 1)).toBe('2028-03-01');
    expect(dayAfter('2026-02-28', 1)).toBe('2026-03-01');
    expect(dayAfter('2026-12-31', 1)).toBe('2027-01-01');
    expect(dayAfter('2026-03-29', 1)).toBe('2026-03-30');
    let day = '2026-01-01';
    for (let i = 0; i < 1100; i += 1) {
      const next = dayAfter(day, 1);
      expect(next > day && dayOf(momentOf(next, '00:00')) === next).toBe(true);
      day = next;
    }
  });

  it('over midnight: hours until 24:00 go on in those from 00:00', () => {
    const late = Array.from({ length: 7 }, () => [
      { from: '00:00', to: '01:00' },
      { from: '22:00', to: '24:00' },
    ]);
    const now = Date.parse('2026-11-28T12:00:00.000Z');
    expect(lengths(hoursFrom({ hours: late, daysOff: [] }, now, 2))).toEqual([180, 120]);
  });

  it('what overlaps or ends before it begins is counted once, or not at all', () => {
    const odd = Array.from({ length: 7 }, () => [
      { from: '10:00', to: '12:00' },
      { from: '11:00', to: '13:00' },
      { from: '15:00', to: '14:00' },
    ]);
    const now = Date.parse('2026-11-28T05:00:00.000Z');
    expect(lengths(hoursFrom({ hours: odd, daysOff: [] }, now, 1))).toEqual([180]);
    expect(hoursFrom({ hours: [], daysOff: [] }, now)).toEqual([]);
  });

  it('those that are past end now', () => {
    const now = Date.parse('2026-11-28T19:00:00.000Z');
    const past = hoursBefore({ hours: EVENINGS, daysOff: [] }, now);
    expect(past.at(-1)).toEqual({ start: -60, end: 0 });
    expect(past).toHaveLength(29);
    expect(past.every(s => s.end > s.start)).toBe(true);
  });

  it('an order is due in the evening of its day, a fair in the morning; a day that is past is past', () => {
    const due = (sort: 'order' | 'fair' | 'gift', day: string | null) => dueMs({ sort, due: day });
    expect(due('order', '2026-12-24')).toBe(Date.parse('2026-12-24T17:00:00.000Z'));
    expect(due('fair', '2026-12-24')).toBe(Date.parse('2026-12-24T07:00:00.000Z'));
    expect(due('gift', null)).toBeNull();
    const now = Date.parse('2026-12-25T12:00:00.000Z');
    expect(minutesTo(due('order', '2026-12-24') ?? 0, now)).toBe(-19 * 60);
  });
});
