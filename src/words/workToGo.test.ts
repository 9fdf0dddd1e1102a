import { describe, expect, it } from 'vitest';
import { minutesToGo, rollsToGo } from './workToGo';

describe('how much is still to do', () => {
  it.each([
    [{ low: 190, middle: 330 }, 'crosswise', 'about 330 crosswise, 190 at least'],
    [{ low: 3, middle: 44 }, '', 'about 40, or none'],
    [{ low: 700, middle: 1400 }, 'lengthwise', 'over 1000 lengthwise, 700 at least'],
    [{ low: Infinity, middle: Infinity }, '', 'over 1000, 1000 at least'],
  ])('%o rolls %s', (range, way, said) => expect(rollsToGo(range, way)).toBe(said));

  it.each([
    [{ low: 8.4, middle: 12 }, 'about 12 min, 8 min at least'],
    [{ low: 0, middle: 0.3 }, 'about 1 min, or none'],
    [{ low: 61, middle: 95 }, 'about 1 h 35 min, 1 h 1 min at least'],
    // A felt that may never get there: no figure, and no “Infinity”.
    [{ low: 0, middle: Infinity }, 'over 5 h, or none'],
    [{ low: Infinity, middle: Infinity }, 'over 5 h, 5 h at least'],
  ])('%o minutes', (range, said) => expect(minutesToGo(range)).toBe(said));
});
