import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { batchOf } from '../batch/batchOf';
import { AT, logOf, roll, rub, wet } from '../log/testing/logs';
import { handsMinutes } from '../diary/handsMinutes';
import { calendarEvents } from './calendarEvents';
import { ownPace } from './ownPace';
import { phaseMinutes } from './phaseMinutes';
import { practiceMinutes, restsOvernightH } from './practiceMinutes';
import { makeSchedule } from './makeSchedule';
import { joiningTask, tasksOfWork } from './workTasks';
import type { Work } from './work';
import { WAY_IDS } from '../forms/wayId';

const WORK: Work = {
  id: 'w',
  name: 'Beads',
  way: 'palms',
  isSolid: true,
  gramsEach: 4,
  count: 30,
  felted: 0,
  phase: 'lay',
  spentMin: 0,
  dryH: 24,
  drySd: 0.5,
  air: 'room',
  soaks: true,
  hasAfter: false,
  dryAt: null,
  due: 5000,
};
const of = { paceOf: () => ownPace([], { phase: 'felt', way: 'palms' }), sittingMin: 90 };
const tasksOf = (more: Partial<Work>) => tasksOfWork({ ...WORK, ...more }, of);

describe('tasks of a work', () => {
  it('of thirty beads: three sittings as a batch has them, each laid, felted, rinsed and put to dry', () => {
    const { tasks, last } = tasksOf({});
    expect(tasks.filter(t => t.does === 'felt').map(t => t.count)).toEqual(batchOf(30).each);
    expect(tasks.filter(t => t.sitting?.number === 2).map(t => t.does)).toEqual([
      'lay',
      'felt',
      'rinse',
      'dry',
    ]);
    expect(last).toEqual(['w:1:dry', 'w:2:dry', 'w:3:dry']);
    // A day on the rack, a place for each; and a quarter of an hour in the vinegar.
    expect(tasks.find(t => t.id === 'w:1:dry')).toMatchObject({
      waitMin: 24 * 60,
      keeps: [{ resource: 'rack', count: 10 }],
      due: 5000,
    });
    expect(tasks.find(t => t.does === 'rinse')?.waitMin).toBe(15);
  });

  it('keeps the names of what is left, whatever is done already: a calendar must know them again', () => {
    const all = new Set(tasksOf({}).tasks.map(t => t.id));
    const some = tasksOf({ phase: 'felt', felted: 13 }).tasks;
    // The first sitting is felted, the second to three of ten.
    expect(some.filter(t => t.sitting?.number === 1).map(t => t.does)).toEqual(['rinse', 'dry']);
    expect(some.filter(t => t.sitting?.number === 2).map(t => [t.does, t.count])).toEqual([
      ['rinse', 3],
      ['dry', 3],
      ['lay', 7],
      ['felt', 7],
      ['rinse', 7],
      ['dry', 7],
    ]);
    for (const t of some.filter(x => !x.id.includes('f:'))) expect(all).toContain(t.id);
    expect(new Set(some.map(t => t.id)).size).toBe(some.length);
  });

  it('leaves out what the log says is done, and takes off what was spent', () => {
    const bag = { way: 'bundle', isSolid: false, gramsEach: 100, count: 1, hasAfter: true } as const;
    const felt = (spentMin: number) =>
      tasksOf({ ...bag, phase: 'felt', spentMin }).tasks.find(t => t.does === 'felt')?.minutes ?? 0;
    expect(tasksOf({ ...bag, phase: 'finish' }).tasks.map(t => t.does)).toEqual(['rinse', 'dry', 'after']);
    expect(felt(0) - felt(30)).toBe(30);
    // Nearly through by the clock is not through.
    expect(felt(10_000)).toBeGreaterThan(0);
    expect(
      tasksOf({ ...bag, phase: 'after', dryAt: 600 }).tasks.map(t => [t.does, t.minutes, t.waitMin]),
    ).toEqual([
      ['drying', 0, 600],
      ['after', 5, 0],
    ]);
    expect(tasksOf({ ...bag, phase: 'after', hasAfter: false }).tasks).toEqual([]);
  });

  it('a rolled flower lies overnight before it goes on', () => {
    expect(restsOvernightH('tube')).toBeGreaterThanOrEqual(8);
    const { tasks } = tasksOf({ way: 'tube', isSolid: false, gramsEach: 20, count: 1 });
    expect(tasks.find(t => t.does === 'felt')?.waitMin).toBe(600);
  });

  it('all pieces are in it once, and every task but the first waits for one before it', () => {
    const work = fc.record({
      way: fc.constantFrom(...WAY_IDS),
      isSolid: fc.boolean(),
      gramsEach: fc.double({ min: 0.5, max: 400, noNaN: true }),
      count: fc.integer({ min: 1, max: 200 }),
      felted: fc.integer({ min: 0, max: 200 }),
      phase: fc.constantFrom('lay', 'felt', 'finish', 'after'),
      spentMin: fc.integer({ min: 0, max: 500 }),
    });
    fc.assert(
      fc.property(work, more => {
        const felted = Math.min(more.felted, more.count);
        const { tasks, last } = tasksOf({ ...more, felted, hasAfter: true });
        const ended = tasks.filter(t => last.includes(t.id));
        expect(ended.reduce((sum, t) => sum + t.count, 0)).toBe(more.count);
        expect(new Set(tasks.map(t => t.id)).size).toBe(tasks.length);
        for (const t of tasks) {
          expect(Number.isInteger(t.minutes) && t.minutes >= 0).toBe(true);
          for (const id of t.after) expect(tasks.some(x => x.id === id)).toBe(true);
        }
      }),
    );
  });

  it('is put together after all that goes into it, and then the glue sets', () => {
    const joining = { id: 'j', name: 'Rose', minutes: 18, setsMin: 1440, of: ['w'], due: 9000 };
    expect(joiningTask(joining, ['w:1:dry', 'w:2:dry'])).toMatchObject({
      id: 'j:join',
      after: ['w:1:dry', 'w:2:dry'],
      minutes: 18,
      waitMin: 1440,
      due: 9000,
    });
  });
});

describe('the times of common practice', () => {
  // Common practice, as the craft tells it: 2–5 min in the palms for a 2 cm bead; 10–12 balls in a sitting of about an hour and a half;
  // about 20 min of rubbing for a small hat, an hour of rolling for a flower, 10 min and more over a ball.
  it.each([
    ['palms', 3, 2, 5],
    ['palms', 58, 90 / 12, 90 / 10],
    ['hands', 80, 20, 90],
    ['tube', 20, 55, 80],
    ['ball', 30, 10, 40],
    ['stocking', 60, 5, 10],
    ['many', 4, 1, 3],
  ] as const)('%s of %d g is felted in %d to %d min', (way, grams, least, most) => {
    expect(practiceMinutes(way, 'felt', grams)).toBeGreaterThanOrEqual(least);
    expect(practiceMinutes(way, 'felt', grams)).toBeLessThanOrEqual(most);
  });
});

describe('the maker’s own pace', () => {
  const worked = (ratio: number, n: number) =>
    Array.from({ length: n }, (_, i) => ({
      id: `${i}`,
      way: 'sheet' as const,
      phase: 'felt' as const,
      grams: 60,
      minutes: ratio * practiceMinutes('sheet', 'felt', 60),
    }));
  const asked = { phase: 'felt', way: 'sheet' } as const;

  it('is common practice before anything was finished, and comes to the maker’s own with more pieces', () => {
    expect(ownPace([], asked)).toMatchObject({ factor: 1, learntFrom: 0 });
    const factors = [1, 3, 12].map(n => ownPace(worked(1.6, n), asked).factor);
    expect(factors).toEqual(factors.toSorted((a, b) => a - b));
    expect(factors[0]).toBeGreaterThan(1.1);
    expect(factors[2]).toBeGreaterThan(1.5);
    expect(factors[2]).toBeLessThan(1.6);
    expect(ownPace(worked(1.6, 12), asked).sharedSd).toBeLessThan(ownPace([], asked).sharedSd);
  });

  it('says something of another way, and nothing of another phase', () => {
    const other = ownPace(worked(1.6, 8), { phase: 'felt', way: 'bundle' }).factor;
    expect(other).toBeGreaterThan(1.1);
    expect(other).toBeLessThan(ownPace(worked(1.6, 8), asked).factor);
    expect(ownPace(worked(1.6, 8), { phase: 'lay', way: 'sheet' }).factor).toBe(1);
  });

  it('does not believe a log that was typed in afterwards, or left lying', () => {
    expect(ownPace(worked(0.01, 5), asked).factor).toBe(1);
    expect(ownPace(worked(40, 5), asked).factor).toBe(1);
  });
});

describe('minutes by phase', () => {
  it('are those of the log, each in its phase', () => {
    const start = Date.parse(AT);
    const acts = [
      wet(1),
      rub(40),
      roll(0, 30),
      { kind: 'finish', step: 'rinse', how: 'done' },
      { kind: 'finish', step: 'dry', how: 'begun', air: 'room', on: 'flat' },
      { kind: 'finish', step: 'dry', how: 'done' },
      { kind: 'finish', step: 'trimFuzz', how: 'done' },
    ] as const;
    const at = [4, 7, 11, 14, 16, 1500, 1503];
    const log = logOf(...acts).map((e, i) => ({
      ...e,
      at: new Date(start + (at[i] ?? 0) * 60_000).toISOString(),
    }));
    const minutes = phaseMinutes(log, Date.parse);
    expect(minutes).toEqual({ lay: 0, felt: 7, finish: 5, after: 3 });
    expect(Object.values(minutes).reduce((a, b) => a + b, 0)).toBe(handsMinutes(log, Date.parse));
  });
});

describe('events for a calendar', () => {
  it('one for each stretch of hands, known again by its name', () => {
    const placed = [
      {
        id: 'w:1:lay',
        spans: [
          { start: 5, end: 65 },
          { start: 100, end: 110 },
        ],
        overAt: 110,
      },
      { id: 'w:1:drying', spans: [{ start: 0, end: 0 }], overAt: 600 },
    ];
    const events = calendarEvents(placed, { nowMs: 60_000, titleOf: id => `do ${id}`, notesOf: () => '' });
    expect(events.map(e => [e.uid, e.startMs, e.endMs])).toEqual([
      ['w-1-lay.1@jorrit.local', 6 * 60_000, 66 * 60_000],
      ['w-1-lay.2@jorrit.local', 101 * 60_000, 111 * 60_000],
    ]);
  });
});

describe('two hundred tasks', () => {
  it('are laid in within 200 ms: the quickest of five, for other work on the machine is none of the schedule’s', () => {
    const works = (['palms', 'bundle', 'sheet', 'ball', 'hands'] as const).map((way, i) => ({
      ...WORK,
      id: way,
      way,
      isSolid: way === 'palms',
      gramsEach: 20 * (i + 1),
      count: way === 'palms' ? 240 : 9,
      due: (20 + 7 * i) * 1440,
    }));
    const tasks = works.flatMap(w => tasksOfWork(w, of).tasks);
    expect(tasks.length).toBeGreaterThanOrEqual(200);
    const evenings = Array.from({ length: 200 }, (_, day) => ({
      start: 1440 * day + 1140,
      end: 1440 * day + 1260,
    }));
    const work = { hours: evenings, capacity: { hands: 1, basin: 1, rack: 60 }, sittingMin: 90, restMin: 30 };
    const took = Array.from({ length: 5 }, () => {
      const from = performance.now();
      const made = makeSchedule(tasks, work);
      expect(made.unplaced).toEqual([]);
      return performance.now() - from;
    });
    expect(Math.min(...took)).toBeLessThan(200);
  });
});
