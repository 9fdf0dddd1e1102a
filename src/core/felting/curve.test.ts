import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { gaugeOf, logOf as log, measure, roll as rolled } from '../log/testing/logs';
import { priorCurve, curveEnds, meanCurve, readCurves } from './curve';
import { GENERAL_PRIOR } from './feltingModel';

const FORMED = { gauges: [gaugeOf('A', 500, 350), gaugeOf('B', 500, 350)], isSolid: false, isFuzzy: false };
const roll = (rolls: number): Act => rolled(0, rolls);

describe('the curve of a piece', () => {
  const curves = readCurves(
    log(roll(100), measure(480, 490), roll(50), {
      kind: 'measure',
      readings: { A: 450, B: null },
    }),
    FORMED,
  );

  it('begins as it was laid, and has a point a reading', () => {
    expect(curves[0]?.map(p => [p.work, Number(p.share.toFixed(6))])).toEqual([
      [0, 1],
      [100, 0.96],
      [150, 0.9],
    ]);
    expect(curves[1]).toHaveLength(2);
  });

  it('ends where its lines are wanted, after all the work there was', () => {
    expect(curveEnds(log(roll(100), { kind: 'throw', count: 10 }), FORMED)).toEqual({
      wanted: 0.7,
      done: 115,
    });
  });

  it('has a mean where all its lines were read', () => {
    expect(meanCurve(curves).map(p => [p.work, Number(p.share.toFixed(6))])).toEqual([
      [0, 1],
      [100, 0.97],
    ]);
  });

  it('as it is believed falls all the way, by a fifth to a quarter at 400 (general practice)', () => {
    const curve = priorCurve(GENERAL_PRIOR, 800);
    expect(curve[0]).toEqual({ work: 0, share: 1 });
    for (const [i, p] of curve.slice(1).entries()) expect(p.share).toBeLessThan(curve[i]?.share ?? 0);
    const half = curve.find(p => p.work === 400)?.share ?? 0;
    expect(half).toBeGreaterThan(0.75);
    expect(half).toBeLessThan(0.82);
  });
});
