import { describe, expect, it } from 'vitest';
import { promiseWords } from './promise';
import { breakWords, chanceWords, lengthWords, taskWords, timeAfter } from './schedule';

const READY = {
  chance: 0.9,
  due: 'Sat 12 Dec',
  likelyBy: 'Tue 15 Dec',
  most: null,
  toMake: 40,
  ifWarm: null,
  ifLonger: null,
};

describe('what is said of a promise', () => {
  it('is one sentence where it is likely, and what would do where it is not', () => {
    expect(promiseWords(READY)).toEqual({
      head: '9 in 10 to be ready by Sat 12 Dec.',
      more: [],
      isLikely: true,
    });
    expect(promiseWords({ ...READY, chance: 0.3, most: 31, ifWarm: 0.85, ifLonger: 0.35 })).toEqual({
      head: '3 in 10 to be ready by Sat 12 Dec.',
      more: [
        'It can be ready by Tue 15 Dec, 8 times in 10.',
        'About 31 of the 40 can be made by then.',
        'Dried over warm air: 8 in 10.',
      ],
      isLikely: false,
    });
    expect(promiseWords({ ...READY, chance: 0, likelyBy: null, most: 0 })).toEqual({
      head: 'No chance to be ready by Sat 12 Dec.',
      more: [
        'It does not fit into your hours. Give more of them, or a later day.',
        'None can be made by then.',
      ],
      isLikely: false,
    });
    // A fair opens in the morning: ready by the evening of its day is too late.
    expect(promiseWords({ ...READY, chance: 0.7, likelyBy: READY.due }).more).toEqual([
      'It can be ready later that day, 8 times in 10.',
    ]);
    expect(promiseWords({ ...READY, chance: null, due: null }).head).toBe(
      'Ready by Tue 15 Dec, 8 times in 10.',
    );
  });

  it('never says eight in ten of what is not, whatever the chance', () => {
    for (let n = 0; n <= 500; n += 1) {
      const { head, isLikely } = promiseWords({ ...READY, chance: n / 500 });
      expect([n, /^(8|9) in 10|^As good/.test(head)]).toEqual([n, isLikely]);
    }
  });
});

describe('words of the schedule', () => {
  it('chances are whole tenths that are reached', () => {
    expect([0, 0.02, 0.799, 0.8, 0.3, 0.998, 1].map(chanceWords)).toEqual([
      'no chance',
      '1 in 10',
      '7 in 10',
      '8 in 10',
      '3 in 10',
      '9 in 10',
      'as good as certain',
    ]);
  });

  it('lengths, times and tasks as people say them', () => {
    expect([5, 60, 95, 47 * 60, 9 * 1440].map(lengthWords)).toEqual([
      '5 min',
      '1 h',
      '1 h 35 min',
      '47 h',
      '9 days',
    ]);
    expect([timeAfter('14:00', 95), timeAfter('23:30', 45)]).toEqual(['15:35', '00:15']);
    const task = { does: 'felt', name: 'Beads', count: 12, sitting: { number: 1, of: 2 } } as const;
    expect(taskWords(task)).toBe('Felt: 12 × Beads, 1 of 2');
    expect(taskWords({ ...task, count: 1, sitting: null })).toBe('Felt: Beads');
  });

  it('every break says what, by how much, and of what', () => {
    const said = breakWords({ is: 'too-soon', id: 'b', after: 'a', minutes: 90 }, id => `task ${id}`);
    expect(said).toBe('It begins 1 h 30 min too soon: first task a.');
    expect(breakWords({ is: 'double', id: 'b', resource: 'rack', at: 0 }, String)).toBe(
      'The rack is full then.',
    );
  });
});
