import { describe, expect, it } from 'vitest';
import { minutesLeft, moveStep } from './recipe';
import { SCHOOLS } from './schools';

const [school] = SCHOOLS;
if (!school) throw new Error('no school');

describe('recipes', () => {
  it('the schools are told apart, and each ends dry', () => {
    expect(new Set(SCHOOLS.map(s => s.id)).size).toBe(SCHOOLS.length);
    // What was ticked of one is not taken for another's.
    const ids = SCHOOLS.flatMap(s => s.steps.map(step => step.id));
    expect(new Set(ids).size).toBe(ids.length);
    for (const s of SCHOOLS) {
      expect(s.steps.at(-1)?.act).toBe('dry');
      // What is tacked with a needle is tacked dry.
      expect(s.steps.find(step => step.act !== 'needle')?.act).toBe('wet');
    }
  });

  it('a clock goes on from when it was started, over a reload or a night', () => {
    expect(minutesLeft(15, 60_000, 60_000)).toBe(15);
    expect(minutesLeft(15, 60_000, 60_000 + 14.5 * 60_000)).toBe(1);
    expect(minutesLeft(15, 60_000, 60_000 + 8 * 3_600_000)).toBe(0);
    // The clock of the machine was set back by an hour.
    expect(minutesLeft(15, 3_660_000, 60_000)).toBe(15);
  });

  it('are edited: a step is moved as far as the ends', () => {
    const { steps } = school;
    expect(
      moveStep(steps, 0, 1)
        .map(s => s.id)
        .slice(0, 2),
    ).toEqual([steps[1]?.id, steps[0]?.id]);
    expect(moveStep(steps, 0, -1)).toEqual(steps);
    expect(moveStep(steps, steps.length - 1, 1)).toEqual(steps);
  });
});
