import { describe, expect, it } from 'vitest';
import { GENERAL_PRIOR } from '../core/felting/feltingModel';
import type { LogEntry } from '../core/log/entry';
import type { Act } from '../core/acts/act';
import { type Goal, isMet } from '../core/rehearsal/goal';
import type { Hidden, Rehearsed } from '../core/rehearsal/hidden';
import { rehearse } from '../core/rehearsal/rehearse';
import { rehearsedOf } from '../core/rehearsal/rehearsedOf';
import { pinched, taped, tested } from '../core/rehearsal/senses';
import { roll, rub, wet } from '../core/rehearsal/testing/acts';
import { type Lesson, LessonSchema } from '../records/lesson';
import { LESSONS } from './lessons';

const setUp = (lesson: Lesson): { rehearsed: Rehearsed; hidden: Hidden } => {
  const { plan, judge, seed, faults, firmAt } = lesson;
  const usual = { setOfRolls: 30, cushion: 'bubble', pressure: 'arms' } as const;
  const made = rehearsedOf({ plan, judge, way: null, habits: {}, usual });
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return {
    rehearsed: made.value,
    hidden: { seed, belief: GENERAL_PRIOR, faults, ...(firmAt === undefined ? {} : { firmAt }) },
  };
};

/** A lesson in the hands of somebody who does one thing after the other. */
const inHands = (lesson: Lesson) => {
  const { rehearsed, hidden } = setUp(lesson);
  let log: readonly LogEntry[] = [];
  const add = (act: Act): void => {
    log = log.concat({ id: `e${log.length}`, seq: log.length + 1, at: '2026-03-01T10:00:00.000Z', act });
  };
  for (const act of lesson.done) add(act);
  const truth = () => rehearse(rehearsed, hidden, log);
  return {
    truth,
    add,
    pinch: () => add({ kind: 'pinch', grade: pinched(truth(), hidden) }),
    test: (test: 'finger' | 'light') => add({ kind: 'test', test, grade: tested(test, truth(), hidden) }),
    measure: () => add({ kind: 'measure', readings: taped(truth(), hidden, rehearsed) }),
    met: (goal: Goal) => isMet(goal, truth()),
    shown: () => lesson.shows.map(s => isMet(s.goal, truth())),
  };
};
const lessonOf = (id: string): Lesson => {
  const lesson = LESSONS.find(l => l.id === id);
  if (!lesson) throw new Error(id);
  return lesson;
};
describe('lessons', () => {
  it('are nine at least, each with a name of its own, and each can be kept and read', () => {
    expect(LESSONS.length).toBeGreaterThanOrEqual(9);
    expect(new Set(LESSONS.map(l => l.id)).size).toBe(LESSONS.length);
    for (const lesson of LESSONS) {
      const read = LessonSchema.parse(JSON.parse(JSON.stringify(lesson)));
      expect(read.title).toBe(lesson.title);
      expect(setUp(lesson).rehearsed.form.gauges.length).toBeGreaterThan(0);
    }
  });

  it('begin with their first step still to be done', () => {
    for (const lesson of LESSONS) {
      const [first] = lesson.steps;
      expect({ [lesson.id]: first && inHands(lesson).met(first.until) }).toEqual({ [lesson.id]: false });
    }
  });

  it('skin: who pinches until it holds sees it hold; who writes it down unseen does not', () => {
    const careful = inHands(lessonOf('skin'));
    careful.add(wet());
    for (let n = 0; n < 6 && !careful.met({ is: 'tested', test: 'pinch', least: 2 }); n += 1) {
      careful.add(rub());
      careful.pinch();
    }
    expect(careful.shown()).toEqual([true]);
    const careless = inHands(lessonOf('skin'));
    careless.add(wet());
    careless.add(rub(1, 10));
    careless.add({ kind: 'pinch', grade: 2 });
    expect(careless.shown()).toEqual([false]);
  });

  it('long one way: rolled the other way it comes even', () => {
    const hands = inHands(lessonOf('long'));
    expect(hands.shown()).toEqual([false]);
    for (let n = 0; n < 12 && !hands.met({ is: 'even', most: 0.06 }); n += 1) hands.add(roll(20, 90));
    expect(hands.shown()).toEqual([true]);
  });

  it('when to cut: at once is not too early any more after some sets, and at the end it is too late', () => {
    const soon = inHands(lessonOf('cut'));
    for (let n = 0; n < 20 && soon.truth().progress < 0.3; n += 1) {
      soon.add(roll(30, n % 2 === 0 ? 0 : 90, 1 + (n % 2)));
      soon.add({ kind: 'look', wetness: 'right', foam: 'right' });
    }
    soon.add({ kind: 'open', what: 'cut' });
    expect(soon.shown()[0]).toBe(true);
    const late = inHands(lessonOf('cut'));
    for (let n = 0; n < 60 && late.truth().progress < 0.9; n += 1) late.add(roll(30, n % 2 === 0 ? 0 : 90));
    late.add({ kind: 'open', what: 'cut' });
    expect(late.shown()[0]).toBe(false);
  });

  it('too wet: once is right; the thin spot: it is there, shows against the light, and can be caught', () => {
    const right = inHands(lessonOf('wet'));
    right.add(wet());
    right.add(rub(1, 80));
    expect(right.shown()).toEqual([true]);
    const thin = inHands(lessonOf('thin'));
    expect(thin.shown()).toEqual([false]);
    thin.test('light');
    expect(thin.truth().state.tests.light).toBe(1);
    thin.add({ kind: 'fault', fault: 'thin', at: null });
    expect(thin.shown()).toEqual([true]);
  });

  it('a ball: with its skin first it stays whole, boarded at once it cracks', () => {
    const palms: Act = { kind: 'palms', minutes: 1 };
    const board: Act = { kind: 'board', minutes: 2 };
    const careful = inHands(lessonOf('crack'));
    careful.add(wet());
    for (let n = 0; n < 8 && !careful.met({ is: 'skin', least: 1 }); n += 1) careful.add(palms);
    careful.add(board);
    expect(careful.shown()).toEqual([true]);
    const careless = inHands(lessonOf('crack'));
    careless.add(wet());
    careless.add(board);
    expect(careless.shown()).toEqual([false]);
  });

  it('stop in time, and half as big: reached and passed', () => {
    for (const id of ['stop', 'half']) {
      const hands = inHands(lessonOf(id));
      const until = lessonOf(id).steps.at(-1)?.until ?? { is: 'sound' };
      for (let n = 0; n < 80 && !hands.met(until); n += 1) hands.add(roll(10, n % 2 === 0 ? 0 : 90));
      expect([id, hands.shown()[0]]).toEqual([id, true]);
      for (let n = 0; n < 60; n += 1) hands.add(roll(30, n % 2 === 0 ? 0 : 90));
      expect([id, hands.shown()[0]]).toEqual([id, false]);
    }
  });

  it('the resist that was too small: at its size it is soft', () => {
    const hands = inHands(lessonOf('small-resist'));
    for (let n = 0; n < 60 && hands.truth().progress < 0.9; n += 1)
      hands.add(roll(30, n % 2 === 0 ? 0 : 90, 1 + (n % 2)));
    hands.pinch();
    expect(hands.truth().state.pinch).toBe(2);
    expect(hands.shown()).toEqual([true]);
  });
});
