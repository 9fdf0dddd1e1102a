import { describe, expect, it } from 'vitest';
import { CHANCES } from '../core/rehearsal/cameAbout';
import { LessonSchema } from '../records/lesson';
import { CAME_ABOUT_NAMES, FRESH_GOALS, goalKinds } from './goals';
import { LESSONS } from './lessons';

describe('what a step of a lesson can wait for', () => {
  it('begins with figures that a lesson can be read back with', () => {
    const [lesson] = LESSONS;
    const wrong = goalKinds.filter(kind => {
      const goal = FRESH_GOALS[kind];
      const changed = { ...lesson, steps: [{ says: 'Do it.', until: goal }] };
      return goal.is !== kind || !LessonSchema.safeParse(changed).success;
    });
    expect(wrong).toEqual([]);
  });

  it('is every kind of goal that the lessons of the program use', () => {
    const used = new Set(
      JSON.stringify(LESSONS)
        .match(/"is":"(\w+)"/g)
        ?.map(m => m.slice(6, -1)),
    );
    used.delete('all');
    expect([...used].filter(kind => !goalKinds.some(k => k === kind))).toEqual([]);
  });

  it('names all that can go wrong by itself, each by its own name', () => {
    expect(CAME_ABOUT_NAMES.map(c => c.value).toSorted()).toEqual(Object.keys(CHANCES).toSorted());
    expect(new Set(CAME_ABOUT_NAMES.map(c => c.text)).size).toBe(CAME_ABOUT_NAMES.length);
  });
});
