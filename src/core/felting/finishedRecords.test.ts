import { describe, expect, it } from 'vitest';
import { logOf, measure, roll } from '../log/testing/logs';
import { PAD } from '../plan/testing/pad';
import { finishedRecords } from './finishedRecords';

const result = { readings: { A: 398, B: 410 }, finishedAt: '2026-03-02T10:00:00.000Z' };

describe('a finished piece as the model reads it', () => {
  it('ends with its dry measures, after the work since it was last measured', () => {
    const log = logOf(roll(0, 100), roll(90, 100), measure(500, 510), roll(0, 60));
    const [record] = finishedRecords({ plan: PAD, result }, log);
    expect(record?.intervals.map(i => i.work.directional)).toEqual([200, 60]);
    // Laid 400/0.67 = 597.015 mm.
    expect(record?.intervals[1]?.read).toEqual([
      expect.closeTo(Math.log(398 / 597.015), 5),
      expect.closeTo(Math.log(410 / 597.015), 5),
    ]);
  });

  it('of many alike has one for each that was measured, and the dry measures with the last', () => {
    const log = logOf(
      roll(0, 100),
      measure(500, 510),
      { kind: 'pieceDone', piece: 1, next: 2 },
      roll(0, 100),
      { kind: 'pieceDone', piece: 2, next: 3 },
      roll(0, 120),
    );
    const records = finishedRecords({ plan: PAD, result }, log);
    expect(records.map(r => r.intervals.map(i => i.work.directional))).toEqual([[100], [120]]);
    expect(records[1]?.intervals[0]?.read[0]).toBeCloseTo(Math.log(398 / 597.015), 5);
  });

  it('says nothing where it cannot be planned any more', () => {
    const gone = { ...PAD, form: { ...PAD.form, kind: 'nonsense' } };
    expect(finishedRecords({ plan: gone, result }, [])).toEqual([]);
  });
});
