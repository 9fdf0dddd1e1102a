import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countFromMinutes, guessBetween, pacedCount, paceOfTaps } from './counting';
import { duration } from '../acts/actWords';
import { bodyWork } from './rest';
import type { Act } from '../acts/act';

describe('a count that was not counted', () => {
  it('between 30 and 50 is 40, give or take 20/√12', () => {
    expect(guessBetween(30, 50).count).toBe(40);
    expect(guessBetween(30, 50).give).toBeCloseTo(5.7735, 4);
  });

  it('by minutes goes by the felter’s own pace', () => {
    expect(countFromMinutes(5, 24)).toEqual({ count: 120, give: 12 });
    expect(countFromMinutes(1, 0.2).count).toBe(1);
  });
});

describe('the pacer', () => {
  const taps = (gaps: readonly number[]): number[] =>
    [0, ...gaps].map((_, i) => gaps.slice(0, i).reduce((sum, g) => sum + g, 0));

  it('takes the pace from taps; one late tap does not count, a long pause begins anew', () => {
    expect(paceOfTaps(taps([2000, 2000, 2000, 2000]))).toBe(30);
    expect(paceOfTaps(taps([2000, 2000, 5000, 2000, 2000]))).toBe(30);
    expect(paceOfTaps(taps([500, 500, 500, 9000, 3000, 3000, 3000]))).toBe(20);
    expect(paceOfTaps(taps([2000, 2000]))).toBeNull();
    expect(paceOfTaps([])).toBeNull();
  });

  it('counts by the clock: late looks lose nothing, and it stops at the set', () => {
    expect(pacedCount(10_000, 30, 30)).toBe(5);
    expect(pacedCount(3_600_000, 30, 30)).toBe(30);
    fc.assert(
      fc.property(
        fc.nat(600_000),
        fc.nat(600_000),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (a, b, pace) => {
          expect(pacedCount(Math.max(a, b), pace, 100)).toBeGreaterThanOrEqual(
            pacedCount(Math.min(a, b), pace, 100),
          );
        },
      ),
    );
  });
});

describe('what the body was asked to do', () => {
  const MINUTE = 60_000;
  const roll = (rolls: number): Act => ({
    kind: 'roll',
    face: 1,
    directionDeg: 0,
    rolls,
    cushion: 'mat',
    pressure: 'arms',
  });
  const at = (minute: number, act: Act) => ({ atMs: minute * MINUTE, act });
  const day = [
    at(0, roll(30)),
    at(2, roll(30)),
    at(4, { kind: 'throw', count: 12 }),
    at(20, roll(30)),
    at(21, roll(30)),
  ];

  it('counts rolls, throws and minutes; a long gap is a pause', () => {
    expect(bodyWork(day, 0, 22 * MINUTE)).toEqual({
      rolls: 120,
      rubs: 0,
      throws: 12,
      minutes: 5,
      rollsSinceRest: 60,
      minutesAgo: 1,
    });
    expect(bodyWork(day, 0, 40 * MINUTE).rollsSinceRest).toBe(0);
    expect(bodyWork(day, 10 * MINUTE, 22 * MINUTE).rolls).toBe(60);
    expect(bodyWork([], 0, 0)).toMatchObject({ rolls: 0, minutesAgo: null });
  });

  it('a clock that was set back takes no time away, and no roll', () => {
    const back = [at(30, roll(30)), at(10, roll(30)), at(11, roll(30))];
    const found = bodyWork(back, 0, 31 * MINUTE);
    expect(found.rolls).toBe(90);
    expect(found.minutes).toBeGreaterThanOrEqual(0);
    expect(found.minutesAgo).toBe(1);
  });

  it('says how long ago in words', () => {
    expect([5, 60, 200, 600, 4000].map(duration)).toEqual(['5 min', '1 h', '3 h 20 min', '10 h', '2 days']);
  });
});
