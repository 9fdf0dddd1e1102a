import { describe, expect, it } from 'vitest';
import { feltingRecordOf } from '../felting/feltingRecordOf';
import { GENERAL_PRIOR } from '../felting/feltingModel';
import { progressForecast } from '../forecast/progressForecast';
import { gaugeOf } from './testing/logs';
import { benchState } from './benchState';
import { gaugeProgressOfAll } from '../forecast/gaugeProgressOfAll';
import { meanReading, measuredPieces, readingId, unequalIn } from './pair';

const GAUGES = [gaugeOf('A', 400, 280), gaugeOf('B', 400, 280)];
const log = [
  {
    id: 'e',
    seq: 1,
    at: '',
    act: { kind: 'measure', readings: { A: 300, 'A/2': 320, B: 310, 'B/2': null } },
  } as const,
];
const { now } = benchState(log);

describe('pieces alike, measured side by side', () => {
  it('each has its own line; of a large batch one stands for all', () => {
    expect([1, 2, 4, 30].map(measuredPieces)).toEqual([1, 2, 4, 1]);
    expect([readingId('A', 1), readingId('A', 2)]).toEqual(['A', 'A/2']);
    const gaugeProgress = gaugeProgressOfAll(progressForecast(GAUGES, benchState(log)).gaugeProgress, now, 2);
    expect(gaugeProgress.map(s => [s.gauge.id, s.nowMm, s.measured])).toEqual([
      ['A', 300, true],
      ['A/2', 320, true],
      ['B', 310, true],
      ['B/2', 310, false],
    ]);
    expect(gaugeProgress[1]?.gauge.name).toBe('length, piece 2');
  });

  it('the piece stands where the mean of them stands, for the bars as for the model', () => {
    expect(meanReading(now, 'A')).toBe(310);
    expect(meanReading({}, 'A')).toBeNull();
    expect(progressForecast(GAUGES, benchState(log)).gaugeProgress[0]?.nowMm).toBe(310);
    const { intervals } = feltingRecordOf(
      log,
      { gauges: GAUGES, isSolid: false, isFuzzy: false },
      GENERAL_PRIOR,
    );
    expect(intervals[0]?.read).toEqual([Math.log(310 / 400), Math.log(310 / 400)]);
  });

  it('are told of where they differ', () => {
    expect(unequalIn(['A', 'B'], now, 2)).toEqual({ gaugeId: 'A', larger: 2, by: 320 / 300 - 1 });
    expect(unequalIn(['A'], { A: 300, 'A/2': 303 }, 2)).toBeNull();
    expect(unequalIn(['A'], { A: 300 }, 2)).toBeNull();
    expect(unequalIn(['A'], now, 1)).toBeNull();
  });
});
