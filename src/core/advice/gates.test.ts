import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { progressForecast } from '../forecast/progressForecast';
import type { FormKind } from '../forms/formKind';
import { cushion } from '../forms/kinds/cushion';
import { disc } from '../forms/kinds/disc';
import { mitten } from '../forms/kinds/mitten';
import { pod } from '../forms/kinds/pod';
import { sleeve } from '../forms/kinds/sleeve';
import { laid, laying } from '../forms/testing/laying';
import { gaugeOf, pinch, roll, stateOf } from '../log/testing/logs';
import { gatesAt, type ResistComesOut, resistComesOut } from './gates';

const GAUGES = [gaugeOf('A', 600, 400)];
const gates = (resist: ResistComesOut, ...acts: Act[]) => {
  const state = stateOf(...acts);
  return gatesAt(state, progressForecast(GAUGES, state), { resist, test: 'pinch' });
};
const measured = (mm: number): Act => ({ kind: 'measure', readings: { A: mm } });
const rolled = roll(0, 100);

describe('gates', () => {
  it('a skin that holds may be rolled; strands that lift may not', () => {
    expect(gates('cut', pinch(2))).toEqual(['may-roll']);
    expect(gates('cut', pinch(1))).toEqual([]);
  });

  it('is cut once it has begun to shrink, not before, and not when it was', () => {
    expect(gates('cut', pinch(2), rolled, measured(590))).toEqual([]);
    expect(gates('cut', pinch(2), rolled, measured(550))).toEqual(['may-open']);
    expect(gates('none', pinch(2), rolled, measured(550))).toEqual([]);
    expect(gates('cut', pinch(2), rolled, measured(550), { kind: 'open', what: 'cut' })).toEqual([]);
  });

  it('is not cut where it has a mouth: the resist is taken out there', () => {
    expect(gates('mouth', pinch(2), rolled, measured(590))).toEqual([]);
    expect(gates('mouth', pinch(2), rolled, measured(550))).toEqual(['may-take-out']);
    expect(gates('mouth', pinch(2), rolled, measured(440))).toEqual(['take-out-soon']);
    expect(gates('mouth', pinch(2), rolled, measured(550), { kind: 'open', what: 'resist-out' })).toEqual([]);
  });

  it('a sleeve and a mitten have a mouth, a cushion and a pod are cut, a disc has nothing in it', () => {
    const of = (kind: FormKind) => resistComesOut(laid(kind, {}, laying(0.3, 0.3)));
    expect([sleeve, mitten, cushion, pod, disc].map(of)).toEqual(['mouth', 'mouth', 'cut', 'cut', 'none']);
  });

  it('is to be cut soon where it nears its size, or is firm already', () => {
    expect(gates('cut', pinch(2), rolled, measured(440))).toEqual(['open-soon']);
    expect(gates('cut', pinch(3), rolled, measured(550))).toEqual(['open-soon']);
  });

  it('tells firm but large from small but soft', () => {
    expect(gates('none', pinch(3), rolled, measured(480), { kind: 'test', test: 'bend', grade: 3 })).toEqual([
      'firm-but-large',
    ]);
    expect(gates('none', pinch(2), rolled, measured(400))).toEqual(['size-but-soft']);
    expect(gates('none', pinch(3), rolled, measured(400))).toEqual([]);
  });
});
