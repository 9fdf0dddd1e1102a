import { describe, expect, it } from 'vitest';
import { benchState } from '../log/benchState';
import type { Act } from '../acts/act';
import { progressForecast } from '../forecast/progressForecast';
import type { Gauge } from '../forms/formKind';
import { finishedMm, laidMm } from '../quantity';
import { gatesAt } from './gates';

const GAUGES: readonly Gauge[] = [
  {
    id: 'A',
    name: 'length',
    directionDeg: 0,
    laidMm: laidMm(600),
    wantedMm: finishedMm(400),
    from: { x: 0, y: 0 },
    to: { x: 1, y: 0 },
  },
];
const gates = (hasResist: boolean, ...acts: Act[]) => {
  const state = benchState(acts.map((act, i) => ({ id: `e${i}`, seq: i + 1, at: '', act })));
  return gatesAt(state, progressForecast(GAUGES, state), { hasResist, test: 'pinch' });
};
const pinch = (grade: 1 | 2 | 3): Act => ({ kind: 'pinch', grade });
const measured = (mm: number): Act => ({ kind: 'measure', readings: { A: mm } });
const rolled: Act = {
  kind: 'roll',
  face: 1,
  directionDeg: 0,
  rolls: 100,
  cushion: 'bubble',
  pressure: 'arms',
};

describe('gates', () => {
  it('a skin that holds may be rolled; strands that lift may not', () => {
    expect(gates(true, pinch(2))).toEqual(['may-roll']);
    expect(gates(true, pinch(1))).toEqual([]);
  });

  it('is cut once it has begun to shrink, not before, and not when it was', () => {
    expect(gates(true, pinch(2), rolled, measured(590))).toEqual([]);
    expect(gates(true, pinch(2), rolled, measured(550))).toEqual(['may-open']);
    expect(gates(false, pinch(2), rolled, measured(550))).toEqual([]);
    expect(gates(true, pinch(2), rolled, measured(550), { kind: 'open', what: 'cut' })).toEqual([]);
  });

  it('is to be cut soon where it nears its size, or is firm already', () => {
    expect(gates(true, pinch(2), rolled, measured(440))).toEqual(['open-soon']);
    expect(gates(true, pinch(3), rolled, measured(550))).toEqual(['open-soon']);
  });

  it('tells firm but large from small but soft', () => {
    expect(gates(false, pinch(3), rolled, measured(480), { kind: 'test', test: 'bend', grade: 3 })).toEqual([
      'firm-but-large',
    ]);
    expect(gates(false, pinch(2), rolled, measured(400))).toEqual(['size-but-soft']);
    expect(gates(false, pinch(3), rolled, measured(400))).toEqual([]);
  });
});
