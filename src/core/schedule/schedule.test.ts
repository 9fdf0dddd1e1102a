import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { breaksOf } from './breaksOf';
import { makeSchedule, scheduleBackwards } from './makeSchedule';
import { HANDS, LEAST_STRETCH_MIN, type Placed, type Task, type WorkHours } from './task';
import { endOf, hours, jobShop, task } from './testing/tasks';

const startOf = (placed: readonly Placed[], id: string): number | undefined =>
  placed.find(p => p.id === id)?.spans[0]?.start;

/** Work with everything in it: waits, a rack, a basin, tiring tasks, evenings. All from one seed that is printed when it fails. */
const WORK = fc
  .record({
    tasks: fc.array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 80 }),
        waitMin: fc.integer({ min: 0, max: 400 }),
        back: fc.array(fc.integer({ min: 1, max: 5 }), { maxLength: 2 }),
        basin: fc.boolean(),
        rack: fc.integer({ min: 0, max: 3 }),
        mayPause: fc.boolean(),
        tires: fc.boolean(),
        rightOn: fc.boolean(),
        due: fc.option(fc.integer({ min: 0, max: 6000 })),
      }),
      { minLength: 1, maxLength: 14 },
    ),
    evenings: fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 100, max: 240 })), {
      minLength: 30,
      maxLength: 30,
    }),
    dayOff: fc.integer({ min: 0, max: 5 }),
  })
  .map(({ tasks, evenings, dayOff }) => ({
    dayOff,
    tasks: tasks.map((t, i) =>
      task(`t${i}`, t.minutes, {
        waitMin: t.waitMin,
        after: t.back.filter(b => i - b >= 0).map(b => `t${i - b}`),
        uses: [HANDS, ...(t.basin ? ['basin'] : [])].map(resource => ({ resource, count: 1 })),
        keeps: t.mayPause || t.rack === 0 ? [] : [{ resource: 'rack', count: t.rack }],
        mayPause: t.mayPause,
        tires: t.tires && (t.mayPause || t.minutes <= 60),
        rightOn: t.rightOn,
        due: t.due,
      }),
    ),
    work: hours(
      evenings.flatMap(([start, length], day): Array<[number, number]> =>
        day === dayOff ? [] : [[1440 * day + start, 1440 * day + start + length]],
      ),
      { capacity: { [HANDS]: 1, basin: 1, rack: 4 }, sittingMin: 60, restMin: 20 },
    ),
  }));

/** What a schedule does wrong, looked at minute by minute: slow, and with nothing of the program in it. */
const wrongIn = (tasks: readonly Task[], placed: readonly Placed[], work: WorkHours): readonly string[] => {
  const wrong: string[] = [];
  const at = new Map(placed.map(p => [p.id, p]));
  const taken = new Map<string, number>();
  const take = (resource: string, from: number, to: number, count: number): void => {
    for (let minute = from; minute < to; minute += 1) {
      const key = `${resource} ${minute}`;
      taken.set(key, (taken.get(key) ?? 0) + count);
      if ((taken.get(key) ?? 0) > (work.capacity[resource] ?? 0)) wrong.push(`${key} taken twice`);
      if (resource === HANDS && !work.hours.some(h => h.start <= minute && minute < h.end))
        wrong.push(`${key} is not in the hours`);
    }
  };
  const strained = new Set<number>();
  for (const t of tasks) {
    const p = at.get(t.id);
    if (!p) continue;
    const worked = p.spans.reduce((sum, s) => sum + s.end - s.start, 0);
    if (worked !== t.minutes) wrong.push(`${t.id} takes ${worked} of ${t.minutes}`);
    if (!t.mayPause && p.spans.length !== 1) wrong.push(`${t.id} is broken off`);
    const last = p.spans.at(-1)?.end ?? 0;
    if (p.overAt - last !== t.waitMin) wrong.push(`the wait of ${t.id} is cut`);
    for (const id of t.after)
      if ((p.spans[0]?.start ?? 0) < (at.get(id)?.overAt ?? 0)) wrong.push(`${t.id} is before ${id}`);
    for (const s of p.spans) {
      for (const u of t.uses) take(u.resource, s.start, s.end, u.count);
      if (t.tires) for (let minute = s.start; minute < s.end; minute += 1) strained.add(minute);
    }
    for (const k of t.keeps) take(k.resource, last, p.overAt, k.count);
  }
  // Tiring minutes with less than a rest between are one stretch.
  const { sittingMin } = work;
  let stretch = 0;
  let before = Number.NEGATIVE_INFINITY;
  for (const minute of [...strained].toSorted((a, b) => a - b)) {
    stretch = minute - before - 1 >= work.restMin ? 1 : stretch + 1;
    if (sittingMin !== null && stretch > sittingMin) wrong.push(`hands work ${stretch} min on end`);
    before = minute;
  }
  return [...new Set(wrong)];
};

describe('a schedule', () => {
  it('books nothing twice, cuts no wait, keeps to the hours and to what hands stand; forwards', () => {
    fc.assert(
      fc.property(WORK, ({ tasks, work }) => {
        const made = makeSchedule(tasks, work, 20);
        expect(wrongIn(tasks, made.placed, work)).toEqual([]);
        expect(made.placed.length + made.unplaced.length).toBe(tasks.length);
        // What it says of itself is the same, but for days: being late is no fault of the schedule.
        expect(breaksOf(tasks, made.placed, work).filter(b => b.is !== 'late')).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });

  it('and backwards, where all that has a day is over by it, or told to be too late', () => {
    fc.assert(
      fc.property(WORK, ({ tasks, work }) => {
        const end = 1440 * 29;
        const made = scheduleBackwards(tasks, work, end);
        expect(wrongIn(tasks, made.placed, work)).toEqual([]);
        for (const { id, spans, overAt } of made.placed) {
          expect(overAt).toBeLessThanOrEqual(tasks.find(t => t.id === id)?.due ?? end);
          expect(spans[0]?.start ?? 0).toBeGreaterThanOrEqual(-made.shortMin);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('is the same for the same work', () => {
    fc.assert(
      fc.property(WORK, ({ tasks, work }) => {
        expect(makeSchedule(tasks, work)).toEqual(makeSchedule(tasks, work));
      }),
      { numRuns: 25 },
    );
  });

  it('small work is over as soon as it can be: against every order of starts', () => {
    const small = fc.record({
      lengths: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 4 }),
      waits: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 4, maxLength: 4 }),
      after: fc.array(fc.integer({ min: -1, max: 2 }), { minLength: 4, maxLength: 4 }),
      gap: fc.integer({ min: 1, max: 4 }),
    });
    fc.assert(
      fc.property(small, ({ lengths, waits, after, gap }) => {
        const tasks = lengths.map((minutes, i) => {
          const back = after[i] ?? -1;
          return task(`t${i}`, minutes, {
            waitMin: waits[i] ?? 0,
            after: back >= 0 && back < i ? [`t${back}`] : [],
          });
        });
        const work = hours([
          [0, 4],
          [4 + gap, 40],
        ]);
        // Every start of every task, by brute force.
        let best = Number.POSITIVE_INFINITY;
        const put = (i: number, placed: readonly Placed[]): void => {
          const t = tasks[i];
          if (!t) {
            best = Math.min(best, endOf(placed));
            return;
          }
          for (let start = 0; start < 22; start += 1) {
            const spans = [{ start, end: start + t.minutes }];
            const next = [...placed, { id: t.id, spans, overAt: start + t.minutes + t.waitMin }];
            if (endOf(next) < best && wrongIn(tasks, next, work).length === 0) put(i + 1, next);
          }
        };
        put(0, []);
        expect(endOf(makeSchedule(tasks, work).placed)).toBe(best);
      }),
      { numRuns: 40 },
    );
  });

  it('is in time where any order is, and else least late: against every order', () => {
    const few = fc.array(
      fc.record({ minutes: fc.integer({ min: 1, max: 9 }), due: fc.integer({ min: 1, max: 30 }) }),
      { minLength: 2, maxLength: 6 },
    );
    const orders = <T>(items: readonly T[]): readonly (readonly T[])[] =>
      items.length <= 1
        ? [items]
        : items.flatMap((x, i) => orders(items.filter((_, k) => k !== i)).map(rest => [x, ...rest]));
    fc.assert(
      fc.property(few, drawn => {
        const late = (order: readonly { minutes: number; due: number }[]): number => {
          let now = 0;
          return order.reduce((sum, t) => {
            now += t.minutes;
            return sum + Math.max(0, now - t.due);
          }, 0);
        };
        const least = Math.min(...orders(drawn).map(late));
        const tasks = drawn.map((t, i) => task(`t${i}`, t.minutes, { due: t.due }));
        const { placed } = makeSchedule(tasks, hours([[0, 1000]]));
        const came = placed.reduce(
          (sum, p) => sum + Math.max(0, p.overAt - (tasks.find(t => t.id === p.id)?.due ?? 0)),
          0,
        );
        expect(came).toBe(least);
      }),
      { numRuns: 60 },
    );
  });

  it('goes on with what may be left in the next hours, and leaves no crumb', () => {
    const { placed } = makeSchedule(
      [task('lay', 130, { mayPause: true })],
      hours([
        [0, 60],
        [100, 160],
        [200, 300],
      ]),
    );
    expect(placed[0]?.spans).toEqual([
      { start: 0, end: 60 },
      { start: 100, end: 160 - (LEAST_STRETCH_MIN - 10) },
      { start: 200, end: 200 + LEAST_STRETCH_MIN },
    ]);
  });

  it('lets hands rest', () => {
    const felt = (id: string) => task(id, 50, { tires: true });
    const { placed } = makeSchedule(
      [felt('a'), felt('b'), task('c', 30)],
      hours([[0, 1000]], { sittingMin: 90, restMin: 30 }),
    );
    // While hands rest from wet work, they do dry work.
    expect(endOf(placed)).toBe(130);
  });

  it('goes right on with what must not lie, whatever else is more pressing', () => {
    const tasks = [
      task('felt', 60, { due: 500 }),
      task('rinse', 10, { after: ['felt'], rightOn: true }),
      task('lay', 60, { due: 120 }),
    ];
    const of = (rightOn: boolean) =>
      makeSchedule(
        tasks.map(t => ({ ...t, rightOn: t.rightOn && rightOn, startAt: t.id === 'felt' ? 0 : null })),
        hours([[0, 1000]]),
        0,
      ).placed.map(p => p.id);
    expect(of(true)).toEqual(['felt', 'rinse', 'lay']);
    expect(of(false)).toEqual(['felt', 'lay', 'rinse']);
  });

  it('waits for a place on the rack', () => {
    const dry = (id: string) => task(id, 5, { waitMin: 600, keeps: [{ resource: 'rack', count: 3 }] });
    const { placed } = makeSchedule(
      [dry('a'), dry('b')],
      hours([[0, 2000]], { capacity: { [HANDS]: 1, rack: 4 } }),
    );
    expect(endOf(placed)).toBe(5 + 600 + 600);
  });

  it('tells what has no place: longer than any hours, more than there is, in a circle, or without any hours', () => {
    const work = hours([
      [0, 60],
      [100, 160],
    ]);
    expect(makeSchedule([task('a', 61)], work).unplaced).toEqual(['a']);
    expect(makeSchedule([task('a', 5, { uses: [{ resource: HANDS, count: 2 }] })], work).unplaced).toEqual([
      'a',
    ]);
    expect(
      makeSchedule([task('a', 5, { after: ['b'] }), task('b', 5, { after: ['a'] }), task('c', 5)], work)
        .unplaced,
    ).toEqual(['a', 'b']);
    expect(makeSchedule([task('a', 5)], hours([])).unplaced).toEqual(['a']);
    expect(makeSchedule([], work)).toMatchObject({ placed: [], unplaced: [] });
  });

  it('leaves what was put by hand where it is, lays the rest round it, and says what breaks', () => {
    const tasks = [
      task('a', 30),
      task('b', 30, { after: ['a'], startAt: 10, due: 35 }),
      task('c', 20, { after: ['b'] }),
    ];
    const work = hours([[0, 200]]);
    const { placed } = makeSchedule(tasks, work);
    expect(startOf(placed, 'b')).toBe(10);
    expect(startOf(placed, 'a')).toBe(60);
    expect(breaksOf(tasks, placed, work)).toEqual([
      { is: 'too-soon', id: 'b', after: 'a', minutes: 80 },
      { is: 'late', id: 'b', minutes: 5 },
    ]);
    const clash = [task('a', 30, { startAt: 180 }), task('b', 30, { startAt: 190 })];
    expect(breaksOf(clash, makeSchedule(clash, work).placed, work)).toEqual([
      { is: 'out-of-hours', id: 'a', minutes: 10 },
      { is: 'out-of-hours', id: 'b', minutes: 20 },
      { is: 'double', id: 'b', resource: HANDS, at: 190 },
    ]);
    const long = [task('a', 100, { startAt: 0, tires: true })];
    const limited = { ...work, sittingMin: 90, restMin: 30 };
    expect(breaksOf(long, makeSchedule(long, limited).placed, limited)).toEqual([
      { is: 'too-long', id: 'a', minutes: 100 },
    ]);
  });

  it('backwards, says by how much it would have had to begin before now', () => {
    const tasks = [task('a', 30), task('b', 40, { after: ['a'], waitMin: 100, due: 120 })];
    const made = scheduleBackwards(tasks, hours([[-200, 500]]), 120);
    // 30 + 40 of hands and 100 of waiting want 170 min, and there are 120.
    expect(made.shortMin).toBe(50);
    expect(scheduleBackwards(tasks, hours([[0, 500]]), 120).unplaced).toEqual(['a', 'b']);
    const inTime = scheduleBackwards(
      tasks.map(t => ({ ...t, due: t.due && 300 })),
      hours([[0, 500]]),
      300,
    );
    expect(inTime.placed.map(p => [p.id, p.spans[0]?.start, p.overAt])).toEqual([
      ['a', 130, 160],
      ['b', 160, 300],
    ]);
    expect(inTime.shortMin).toBe(0);
  });
});

describe('textbook job shops', () => {
  // Fisher and Thompson 1963, “Probabilistic learning combinations of local job-shop scheduling rules”: FT06 and FT10; optimum 55 and 930.
  // Lawrence 1984, “Resource constrained project scheduling”: LA01, optimum 666. Tables and optima from memory; for LA01 the busiest
  // machine alone takes 666, so that it cannot be less.
  const FT06 = `2 1 0 3 1 6 3 7 5 3 4 6
    1 8 2 5 4 10 5 10 0 10 3 4
    2 5 3 4 5 8 0 9 1 1 4 7
    1 5 0 5 2 5 3 3 4 8 5 9
    2 9 1 3 4 5 5 4 0 3 3 1
    1 3 3 3 5 9 0 10 4 4 2 1`;
  const LA01 = `1 21 0 53 4 95 3 55 2 34
    0 21 3 52 4 16 2 26 1 71
    3 39 4 98 1 42 2 31 0 12
    1 77 0 55 4 79 2 66 3 77
    0 83 3 34 2 64 1 19 4 37
    1 54 2 43 4 79 0 92 3 62
    3 69 4 77 1 87 2 87 0 93
    2 38 0 60 1 41 3 24 4 83
    3 17 1 49 4 25 0 44 2 98
    4 77 3 79 2 43 1 75 0 96`;
  const FT10 = `0 29 1 78 2 9 3 36 4 49 5 11 6 62 7 56 8 44 9 21
    0 43 2 90 4 75 9 11 3 69 1 28 6 46 5 46 7 72 8 30
    1 91 0 85 3 39 2 74 8 90 5 10 7 12 6 89 9 45 4 33
    1 81 2 95 0 71 4 99 6 9 8 52 7 85 3 98 9 22 5 43
    2 14 0 6 1 22 5 61 3 26 4 69 8 21 7 49 9 72 6 53
    2 84 1 2 5 52 3 95 8 48 9 72 0 47 6 65 4 6 7 25
    1 46 0 37 3 61 2 13 6 32 5 21 9 32 8 89 7 30 4 55
    2 31 0 86 1 46 5 74 4 32 6 88 8 19 9 48 7 36 3 79
    0 76 1 69 3 76 5 51 2 85 9 11 6 40 7 89 4 26 8 74
    1 85 0 13 2 61 6 7 8 64 9 76 5 47 3 52 4 90 7 45`;

  it('FT06 and LA01 to their optimum, with the tries that any schedule is given', () => {
    const ft06 = jobShop(FT06);
    expect(endOf(makeSchedule(ft06.tasks, ft06.work).placed)).toBe(55);
    const la01 = jobShop(LA01);
    const busiest = Math.max(
      ...Object.keys(la01.work.capacity).map(machine =>
        la01.tasks.reduce((sum, t) => (t.uses[0]?.resource === machine ? sum + t.minutes : sum), 0),
      ),
    );
    expect(busiest).toBe(666);
    expect(endOf(makeSchedule(la01.tasks, la01.work).placed)).toBe(666);
  });

  it('FT10 within 5 %, with ten thousand tries', () => {
    const { tasks, work } = jobShop(FT10);
    const { placed } = makeSchedule(tasks, work, 10_000);
    expect(wrongIn(tasks, placed, work)).toEqual([]);
    expect(endOf(placed)).toBeGreaterThanOrEqual(930);
    expect(endOf(placed)).toBeLessThanOrEqual(1.05 * 930);
  });
});
