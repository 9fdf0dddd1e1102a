import { describe, expect, it } from 'vitest';
import { readingQuestion } from './readingQuestion';
import { gaugeOf } from '../log/testing/logs';

const now = (nowMm: number, measured = true) => ({
  gauge: gaugeOf('A', 600, 400),
  nowMm,
  measured,
  progress: 0,
});

describe('a reading', () => {
  it('is asked about where it is longer than it was laid, by more than a tape may be off', () => {
    expect(readingQuestion(now(600, false), 613)).toEqual({ asks: 'longer-than-laid' });
    expect(readingQuestion(now(600, false), 611)).toBeNull();
  });

  it('is asked about where felt seems to have grown; before the first measuring there is nothing to grow from', () => {
    expect(readingQuestion(now(500), 550)).toEqual({ asks: 'grew', by: expect.closeTo(0.1, 9) });
    expect(readingQuestion(now(500), 502)).toBeNull();
    expect(readingQuestion(now(500, false), 550)).toBeNull();
  });

  it('is asked about where it is under half of its target, and otherwise taken', () => {
    expect(readingQuestion(now(450), 199)).toEqual({ asks: 'far-below' });
    expect(readingQuestion(now(450), 201)).toBeNull();
    expect(readingQuestion(now(450), 410)).toBeNull();
  });
});
