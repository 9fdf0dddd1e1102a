import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchState, rollsByDirection } from './benchState';
import type { Act } from '../acts/act';
import type { LogEntry } from './entry';
import { logOf, roll, undo } from './testing/logs';
import { rollIntensity } from '../acts/rollIntensity';
import { nextRedo, nextUndo, entriesInForce } from './entriesInForce';
import { quickest } from '../numeric/testing/quickest';

describe('undo as an entry', () => {
  it('takes the last standing entry back, again and again', () => {
    const log = logOf(roll(0, 30), roll(90, 30), undo('e2'));
    expect(entriesInForce(log).map(e => e.id)).toEqual(['e1']);
    expect(nextUndo(log)?.id).toBe('e1');
    expect(nextUndo(logOf(roll(0, 30), undo('e1')))).toBeNull();
  });

  it('brings an entry again when its undo is undone', () => {
    const log = logOf(roll(0, 30), undo('e1'), undo('e2'));
    expect(entriesInForce(log).map(e => e.id)).toEqual(['e1']);
    expect(benchState(log).rolls).toBe(30);
  });

  it('redoes in the reverse order of undoing, until something new is done', () => {
    const two = logOf(roll(0, 30), roll(90, 30), undo('e2'), undo('e1'));
    expect(nextRedo(two)?.id).toBe('e4');
    const one = [...two, ...logOf(undo('e4')).map(e => ({ ...e, id: 'e5', seq: 5 }))];
    expect(entriesInForce(one).map(e => e.id)).toEqual(['e1']);
    expect(nextRedo(one)?.id).toBe('e3');
    const fresh = [...two, { id: 'e6', seq: 6, at: '2026-03-01T10:00:00Z', act: roll(0, 10) }];
    expect(nextRedo(fresh)).toBeNull();
  });

  /** What a person expects of undo and redo: two stacks. */
  const model = (presses: ReadonlyArray<'do' | 'undo' | 'redo'>): number => {
    let done = 0;
    let undone = 0;
    for (const press of presses) {
      if (press === 'do') {
        done += 1;
        undone = 0;
      } else if (press === 'undo' && done > 0) {
        done -= 1;
        undone += 1;
      } else if (press === 'redo' && undone > 0) {
        done += 1;
        undone -= 1;
      }
    }
    return done;
  };

  it('behaves like two stacks under any pressing of do, undo and redo', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('do' as const, 'undo' as const, 'redo' as const), { maxLength: 40 }),
        presses => {
          let log: LogEntry[] = [];
          const add = (act: Act): void => {
            log = [
              ...log,
              { id: `e${log.length + 1}`, seq: log.length + 1, at: '2026-03-01T10:00:00Z', act },
            ];
          };
          for (const press of presses) {
            const target = press === 'undo' ? nextUndo(log) : press === 'redo' ? nextRedo(log) : null;
            if (press === 'do') add(roll(0, 10));
            else if (target) add(undo(target.id));
          }
          expect(entriesInForce(log)).toHaveLength(model(presses));
          expect(benchState(log).rolls).toBe(10 * model(presses));
        },
      ),
      { numRuns: 400 },
    );
  });

  it('goes by the sequence, not by the clock or the order of storing', () => {
    const log = logOf(roll(0, 30), roll(90, 20), undo('e2'));
    const backwards = log.map(e => ({ ...e, at: `2026-02-2${9 - e.seq}T10:00:00Z` })).toReversed();
    expect(benchState(backwards)).toEqual({ ...benchState(log), lastAt: expect.any(String) });
  });
});

describe('what the log adds up to', () => {
  const log = logOf(
    { kind: 'wet', face: 1, water: 'hot' },
    { kind: 'wet', face: 2, water: 'warm' },
    { kind: 'rub', face: 1, count: 40 },
    { kind: 'pinch', grade: 2 },
    roll(0, 50, { face: 1 }),
    roll(90, 50, { face: 2 }),
    { kind: 'measure', readings: { A: 412, B: null } },
    roll(0, 30, { face: 1 }),
    { kind: 'throw', count: 12 },
    { kind: 'shock', rounds: 2 },
  );
  const state = benchState(log);

  it('counts per face and direction', () => {
    expect(state.rolls).toBe(130);
    expect(rollsByDirection(state)).toEqual([
      { directionDeg: 0, rolls: 80 },
      { directionDeg: 45, rolls: 0 },
      { directionDeg: 90, rolls: 50 },
      { directionDeg: 135, rolls: 0 },
    ]);
    expect(state.wettedFaces).toEqual([1, 2]);
    expect(state.rubs).toEqual({ 1: 40 });
    expect([state.throws, state.shocks]).toEqual([12, 2]);
  });

  it('keeps the last reading of each gauge; one not taken is not zero', () => {
    expect(state.now).toEqual({ A: 412 });
    expect(state.rollsSinceMeasure).toBe(30);
    expect(state.pinch).toBe(2);
    expect(state.workSincePinch).toBe(50 + 50 + 30 + 12 + 2);
  });

  it('weighs a roll by cushion and pressure, within 0.3 to 2', () => {
    expect(rollIntensity('bubble', 'arms')).toBe(1);
    expect(rollIntensity('thick', 'light')).toBeCloseTo(0.36, 12);
    expect(rollIntensity('bare', 'hard')).toBeLessThanOrEqual(2);
    expect(rollIntensity('bare', 'arms')).toBeGreaterThan(rollIntensity('mat', 'arms'));
  });

  it('2 000 entries fold in a moment', () => {
    const long = logOf(...Array.from({ length: 2000 }, (_, i) => roll(i % 2 === 0 ? 0 : 90, 10)));
    expect(benchState(long).rolls).toBe(20_000);
    expect(quickest(() => benchState(long))).toBeLessThan(250);
  });
});
