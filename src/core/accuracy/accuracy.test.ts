import { tries } from '../numeric/testing/tries';
import { describe, expect, it } from 'vitest';
import { normal, seeded } from '../numeric/random';
import { addWork, balancedWork, FELTING, GENERAL_PRIOR, NO_WORK } from '../felting/feltingModel';
import { infer } from '../felting/infer';
import type { FeltingRecord } from '../felting/likelihood';
import { type Range, sharesAfter } from '../felting/predict';
import { simulatedPiece } from '../felting/simulatedPiece';
import { accuracyOf, type ReplayedPiece } from './accuracyOf';
import { PAD } from '../plan/testing/pad';
import { atSize } from './atSize';
import { chanceRange, shareRange } from './heldRange';
import { isHeld, replayRecord } from './replayRecord';

const range = (low80: number, median: number, high80: number): Range => ({
  mean: median,
  sd: 0,
  low95: low80,
  low80,
  median,
  high80,
  high95: high80,
});
const record = (...reads: ReadonlyArray<readonly number[]>): FeltingRecord => ({
  gaugesDeg: [0, 90],
  intervals: reads.map(read => ({ work: balancedWork(100), read: read.map(Math.log) })),
  since: NO_WORK,
  belief: GENERAL_PRIOR,
  startSd: 0,
});

describe('a log replayed', () => {
  it('asks before each measuring for what was known then, and counts what held, by hand', () => {
    const asked: FeltingRecord[] = [];
    const predictions = replayRecord(record([0.9, 0.95], [0.8, 0.7]), r => {
      asked.push(r);
      return [range(0.78, 0.82, 0.86), range(0.9, 0.93, 0.96)];
    });
    expect(asked.map(r => [r.intervals.length, r.since.directional])).toEqual([
      [0, 100],
      [1, 100],
    ]);
    // Along 0.9 lies over 0.86 and what a tape is off; across 0.95 within; along 0.8 within; across 0.7 far under.
    expect(predictions.map(isHeld)).toEqual([false, true, true, false]);
    // 0.86 widened: 0.82·exp(√(ln(0.86/0.82)² + (1.2816·0.015)²)).
    const far = Math.hypot(Math.log(0.86 / 0.82), 1.2816 * FELTING.readingSd);
    expect(predictions[0]?.high).toBeCloseTo(0.82 * Math.exp(far), 6);
  });

  it('passes over a line that was not read', () => {
    const one: FeltingRecord = {
      ...record(),
      intervals: [{ work: balancedWork(50), read: [null, Math.log(0.9)] }],
    };
    expect(replayRecord(one, () => [range(0.8, 0.9, 0.95), range(0.8, 0.9, 0.95)])).toHaveLength(1);
  });
});

describe('how right it was in a small workshop', () => {
  const piece = (id: string, begunMs: number, finishedMs: number): ReplayedPiece => ({
    id,
    woolId: 'w',
    breedId: 'b',
    begunMs,
    finishedMs,
    records: [record([0.9, 0.9], [0.7, 0.72])],
  });

  it('believes of each piece only what was finished when it was begun', () => {
    const believed: number[] = [];
    const all = [piece('c', 250, 300), piece('a', 0, 100), piece('b', 50, 200)];
    const told = accuracyOf(all, [], {
      predict: r => {
        if (r.intervals.length === 0) believed.push(r.belief.mean[0] ?? 0);
        return [range(0.6, 0.8, 0.95), range(0.6, 0.8, 0.85)];
      },
    });
    // a and b were begun before anything was finished; c knew both.
    expect(believed[0]).toBe(GENERAL_PRIOR.mean[0]);
    expect(believed[1]).toBe(GENERAL_PRIOR.mean[0]);
    expect(believed[2]).not.toBe(GENERAL_PRIOR.mean[0]);
    // Each: 0.9 within 0.6–0.95; 0.9 over 0.85; then 0.7 and 0.72 within.
    expect(told).toEqual(['a', 'b', 'c'].map(id => ({ id, woolId: 'w', tried: 4, held: 3 })));
  });

  it('reports of simulated makers the share that there is', () => {
    const makers = tries(12, 24);
    let [there, tried] = [0, 0];
    const pieces = Array.from({ length: makers }, (_, m): ReplayedPiece => {
      const random = seeded(77_000 + m);
      const made = simulatedPiece(random, [0, 90], { odd: {} });
      const intervals: Array<FeltingRecord['intervals'][number]> = [];
      for (let k = 0; k < 3; k += 1) {
        const along = 120 * (0.3 + 0.4 * random());
        const work = addWork(addWork(NO_WORK, along, 0), 120 - along, 90);
        // What there is: of many readings drawn from the worlds of the model, how many lie on either side of what came.
        const before: FeltingRecord = {
          gaugesDeg: [0, 90],
          intervals: [...intervals],
          since: work,
          belief: GENERAL_PRIOR,
          startSd: 0,
        };
        const posterior = infer(before);
        const lines = sharesAfter(before, posterior, NO_WORK);
        made.work(work);
        const read = made.measure();
        lines.forEach((values, g) => {
          let below = 0;
          values.forEach((v, n) => {
            const drawn = Math.log(v) + FELTING.readingSd * normal(random);
            if (drawn < (read[g] ?? 0)) below += posterior.weights[n] ?? 0;
          });
          tried += 1;
          if (below >= 0.1 && below <= 0.9) there += 1;
        });
        intervals.push({ work, read });
      }
      return {
        id: `m${m}`,
        woolId: `w${m}`,
        breedId: '',
        begunMs: 0,
        finishedMs: 1,
        records: [{ gaugesDeg: [0, 90], intervals, since: NO_WORK, belief: GENERAL_PRIOR, startSd: 0 }],
      };
    });
    const told = accuracyOf(pieces, []);
    const [held, all] = [told.reduce((s, t) => s + t.held, 0), told.reduce((s, t) => s + t.tried, 0)];
    expect(all).toBe(tried);
    expect(Math.abs(held - there) / tried).toBeLessThan(tries(0.06, 0.04));
    // The world is the model's own: four in five, as far as 144 can say.
    const { least, most } = chanceRange(tried);
    expect(held).toBeGreaterThanOrEqual(least - 3);
    expect(held).toBeLessThanOrEqual(most + 3);
  }, 60_000);
});

describe('lines at their size when dry', () => {
  const result = { readings: { A: 411, B: 413 }, grams: null, thicknessMm: null };

  it('are those within three per cent of what was wanted, by hand', () => {
    // 411/400 is 2.75 % over, 413/400 3.25 %.
    expect(atSize({ plan: PAD, result })).toEqual({ tried: 2, held: 1 });
    expect(atSize({ plan: PAD, result: { ...result, readings: {} } })).toBeNull();
    expect(atSize({ plan: { ...PAD, asItComes: true }, result })).toBeNull();
  });
});

describe('the honest range of so few', () => {
  it('is that of the binomial distribution', () => {
    // By hand for five: P(k ≤ 2) = 0.0579, P(k ≤ 4) = 1 − 0.8⁵ = 0.672.
    expect(chanceRange(5)).toEqual({ least: 2, most: 5 });
    expect(chanceRange(0)).toEqual({ least: 0, most: 0 });
    const { least, most } = chanceRange(400);
    // Normal limit: 320 ± 1.645·8.
    expect([least, most]).toEqual([expect.closeTo(307, -0.5), expect.closeTo(333, -0.5)]);
  });

  it('of the share is Wilson’s, a worked example', () => {
    // 8 of 10 at 90 %: z² = 2.7055; middle (0.8 + 0.13528)/1.27055 = 0.73612; half 1.6449·√(0.016 + 0.0067638)/1.27055 = 0.19533.
    const { low, high } = shareRange(8, 10);
    expect(low).toBeCloseTo(0.73612 - 0.19533, 4);
    expect(high).toBeCloseTo(0.73612 + 0.19533, 4);
  });
});
