import { describe, expect, it } from 'vitest';
import { gaugeOf, logOf, measure, roll } from '../log/testing/logs';
import type { Act } from '../acts/act';
import { DRAWING_MARKS } from '../acts/vocabulary';
import { drawingRange } from './drawingRange';
import { feltingRecordOf } from './feltingRecordOf';
import { GENERAL_PRIOR, NO_WORK } from './feltingModel';
import { infer } from './infer';
import { rangeOf, sharesAfter } from './predict';

const A = gaugeOf('A', 600, 400);
const B = gaugeOf('B', 600, 400);
const FORM = { gauges: [A, B], isSolid: false, isFuzzy: false };
const compared = (at: (typeof DRAWING_MARKS)[number]): Act => ({ kind: 'compare', at });
const after = (...acts: Act[]) => {
  const record = feltingRecordOf(logOf(...acts), FORM, GENERAL_PRIOR);
  const posterior = infer(record);
  const [first] = sharesAfter(record, posterior, NO_WORK);
  if (!first) throw new Error('no line');
  return { record, range: rangeOf(first, posterior.weights) };
};
const ROLLED = [roll(0, 200), roll(90, 200)];

describe('a look at the drawing', () => {
  it('is a range of lengths: shares of the way, millimetres, or shares of the target', () => {
    const way = Math.log(400 / 600);
    expect(drawingRange('dashed', A)).toMatchObject({ low: 0.08 * way });
    // Between half way and a finger outside one takes the nearer: a finger is 22 mm at most.
    const between = (0.65 * way + Math.log(422 / 600)) / 2;
    expect(drawingRange('half', A)).toEqual({ low: between, high: 0.33 * way });
    expect(drawingRange('finger', A).high).toBe(between);
    expect(Math.exp(drawingRange('finger', A).low) * 600).toBeCloseTo(408, 9);
    expect(Math.exp(drawingRange('on', A).high) * 600).toBeCloseTo(408, 9);
    expect(Math.exp(drawingRange('past', A).high) * 600).toBeCloseTo(396, 9);
  });

  it('runs from long to short, mark by mark, for small pieces too', () => {
    for (const gauge of [A, gaugeOf('A', 36, 25)]) {
      const middles = DRAWING_MARKS.map(m => drawingRange(m, gauge)).map(r => (r.low + r.high) / 2);
      expect(middles).toEqual(middles.toSorted((a, b) => b - a));
      for (const m of DRAWING_MARKS)
        expect(drawingRange(m, gauge).low).toBeLessThan(drawingRange(m, gauge).high);
      // No length is without a mark.
      DRAWING_MARKS.slice(1).forEach((m, i) => {
        const before = drawingRange(DRAWING_MARKS[i] ?? m, gauge);
        expect(drawingRange(m, gauge).high).toBeGreaterThanOrEqual(before.low - 1e-3);
      });
    }
  });

  it('moves what the model knows, less than a tape does, and each mark its own way', () => {
    const none = after(...ROLLED).range;
    const half = after(...ROLLED, compared('half')).range;
    const dashed = after(...ROLLED, compared('dashed')).range;
    // Half of the way from 600 to 400 is 490 mm, 0.82 of what was laid; a tape that says so is surer.
    const taped = after(...ROLLED, measure(490, 490)).range;
    expect(half.sd).toBeLessThan(none.sd);
    expect(taped.sd).toBeLessThan(half.sd);
    expect(dashed.median).toBeGreaterThan(half.median);
    expect(Math.log(half.median)).toBeGreaterThan(drawingRange('half', A).low - 0.05);
    expect(Math.log(half.median)).toBeLessThan(drawingRange('half', A).high + 0.05);
  });

  it('is an interval of the log like a measuring, and no reading of any line', () => {
    const { record } = after(...ROLLED, compared('inside'), roll(0, 50));
    expect(record.intervals).toHaveLength(1);
    expect(record.intervals[0]?.read).toEqual([null, null]);
    expect(record.since.directional).toBe(50);
  });

  it('each way by itself is two ranges, each of its own lines; all round it is one of all', () => {
    const withins = (...acts: Act[]) =>
      feltingRecordOf(logOf(...acts), FORM, GENERAL_PRIOR).intervals.map(i => [
        i.within?.of,
        i.work.directional,
      ]);
    const set = roll(0, 30);
    expect(withins(set, { kind: 'compare', at: 'half', across: 'finger' })).toEqual([
      [[0], 30],
      [[1], 0],
    ]);
    expect(withins(set, { kind: 'compare', at: 'half' })).toEqual([[undefined, 30]]);
    const [length, width] = feltingRecordOf(
      logOf({ kind: 'compare', at: 'half', across: 'finger' }),
      FORM,
      GENERAL_PRIOR,
    ).intervals;
    expect(length?.within).toMatchObject(drawingRange('half', A));
    expect(width?.within).toMatchObject(drawingRange('finger', B));
  });
});
