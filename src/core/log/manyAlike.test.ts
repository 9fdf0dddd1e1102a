import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { gaugeOf, logOf, stateOf, undo } from './testing/logs';
import { entriesInHand, inThisSitting, manyAlike, nextOfMany } from './manyAlike';
import { sampleOfMany } from './sampleOfMany';

const palms = (minutes: number): Act => ({ kind: 'palms', minutes });
const done = (piece: number, next: number | null): Act => ({ kind: 'pieceDone', piece, next });
const aside = (piece: number, next: number | null): Act => ({ kind: 'mark', piece, as: 'soft', next });
const read = (A: number): Act => ({ kind: 'measure', readings: { A } });

describe('many alike, one after the other', () => {
  it('each has a log of its own, and what is done to all at once stands in every one', () => {
    const log = logOf(palms(3), done(1, 2), palms(1), { kind: 'machine', cycles: 1 }, done(2, 3), {
      kind: 'water',
      water: 'hot',
    });
    expect(stateOf(...log.map(e => e.act)).done).toEqual({ machine: 1 });
    const kinds = (piece: number): string =>
      (manyAlike(log).logs.get(piece) ?? []).map(e => e.act.kind).join(' ');
    expect(kinds(1)).toBe('palms pieceDone machine water');
    expect(kinds(2)).toBe('palms machine pieceDone water');
    expect(kinds(3)).toBe('machine water');
    expect(manyAlike(log)).toMatchObject({ inHand: 3, through: [1, 2], sinceWater: 0 });
  });

  it('one that was put aside comes around last, with what was done to it', () => {
    const log = logOf(palms(2), aside(1, 2), palms(3), done(2, 3), palms(3), done(3, 1));
    const many = manyAlike(log);
    expect(nextOfMany(manyAlike(logOf(palms(2), aside(1, 2))), 3, 2)).toBe(3);
    expect(nextOfMany(many, 3, 3)).toBe(1);
    expect(many.aside.get(1)).toBe('soft');
    expect(entriesInHand(log).map(e => e.act.kind)).toEqual(['palms', 'mark']);
    expect(manyAlike(logOf(aside(1, 2), done(1, null))).aside.size).toBe(0);
  });

  it('taken back, the one before is in the hands again; alone, the whole log is its own', () => {
    const log = logOf(palms(2), done(1, 2), undo('e2'), palms(1));
    expect(stateOf(...log.map(e => e.act)).done).toEqual({ palms: 3 });
    const alone = logOf(palms(2), done(1, null));
    expect(entriesInHand(alone)).toHaveLength(2);
  });

  it('no entry is lost and none is counted for two, whatever the order', () => {
    const acts = fc.oneof(
      fc.integer({ min: 1, max: 9 }).map(palms),
      fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 })).map(([a, b]) => done(a, b)),
      fc.integer({ min: 1, max: 6 }).map((piece): Act => ({ kind: 'takeUp', piece })),
    );
    fc.assert(
      fc.property(fc.array(acts, { maxLength: 30 }), list => {
        const { logs } = manyAlike(logOf(...list));
        const ids = [...logs.values()].flat().map(e => e.id);
        expect(ids.toSorted()).toEqual(
          logOf(...list)
            .map(e => e.id)
            .toSorted(),
        );
      }),
    );
  });

  it('a sitting ends with a pause of half an hour', () => {
    const at = (minutes: number): string => new Date(Date.UTC(2026, 0, 1, 10, minutes)).toISOString();
    const minutes = [0, 8, 55, 63];
    const log = logOf(...minutes.map((_, i) => done(i + 1, i + 2))).map((e, i) => ({
      ...e,
      at: at(minutes[i] ?? 0),
    }));
    expect(inThisSitting(manyAlike(log), Date.parse(at(70)), t => Date.parse(t))).toBe(2);
    expect(inThisSitting(manyAlike(log), Date.parse(at(100)), t => Date.parse(t))).toBe(0);
  });
});

describe('a sample of many', () => {
  const sample = (...lengths: readonly number[]) => {
    const acts = lengths.flatMap((mm, i) => [read(mm), done(i + 1, i + 2)]);
    return sampleOfMany(manyAlike(logOf(...acts)), [gaugeOf('A', 40, 25)])[0];
  };

  it('has the mean and the spread of what was measured', () => {
    // 24, 25, 26: mean 25, deviation of n − 1 is 1.
    expect(sample(24, 25, 26)).toEqual({ gaugeId: 'A', count: 3, meanMm: 25, sdMm: 1, odd: [] });
    expect(sample(24)?.sdMm).toBeNull();
    expect(sampleOfMany(manyAlike(logOf(palms(1))), [gaugeOf('A', 40, 25)])).toEqual([]);
  });

  it('finds the odd one out, and lets the others be', () => {
    expect(sample(25, 24.6, 25.3, 24.8, 29, 25.1)?.odd).toEqual([{ piece: 5, mm: 29 }]);
    // All but one alike to a hair: a hair more is not odd.
    expect(sample(25, 25, 25, 25, 25.6)?.odd).toEqual([]);
  });

  it('takes the last length of each', () => {
    const many = manyAlike(logOf(read(30), read(25), done(1, 2)));
    expect(sampleOfMany(many, [gaugeOf('A', 40, 25)])[0]?.meanMm).toBe(25);
  });
});
