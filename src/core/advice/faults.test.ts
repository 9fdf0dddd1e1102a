import { describe, expect, it } from 'vitest';
import { benchState } from '../log/benchState';
import type { Act } from '../acts/act';
import { TESTS } from '../acts/vocabulary';
import { FELT_TESTS, suits } from '../acts/feltTests';
import { causeInLog, FAULTS, faultOf } from './faults';

const stateOf = (...acts: Act[]) =>
  benchState(acts.map((act, i) => ({ id: `e${i}`, seq: i + 1, at: '2026-03-01T10:00:00Z', act })));
const roll = (directionDeg: 0 | 90, rolls: number): Act => ({
  kind: 'roll',
  face: 1,
  directionDeg,
  rolls,
  cushion: 'bubble',
  pressure: 'arms',
});

describe('faults', () => {
  it('each has a remedy, a cause and a name of its own', () => {
    expect(new Set(FAULTS.map(f => f.id)).size).toBe(FAULTS.length);
    for (const f of FAULTS)
      expect(Math.min(f.seen.length, f.cause.length, f.remedy.length)).toBeGreaterThan(5);
    expect(faultOf('thin')?.remedy).toContain('Stop rolling');
    expect(faultOf('nonsense')).toBeNull();
  });

  it('the log says which causes are likely', () => {
    const uneven = stateOf({ kind: 'wet', face: 1, water: 'hot' }, roll(0, 200), roll(90, 40));
    expect(causeInLog('long', uneven, [1])?.likely).toBe('200 rolls along against 40 across');
    expect(causeInLog('long', stateOf(roll(0, 100), roll(90, 100)), [1])).toBeNull();
    expect(causeInLog('thin', uneven, [1])?.likely).toContain('after only 0 rubs');
    expect(causeInLog('fluffy', stateOf({ kind: 'wet', face: 1, water: 'hot' }), [1, 2])?.likely).toBe(
      'not every face was wetted',
    );
    const cold = stateOf({ kind: 'wet', face: 1, water: 'hot' }, { kind: 'water', water: 'cold' });
    expect(causeInLog('fluffy', cold, [1])?.likely).toBe('the water is cold');
    expect(causeInLog('stalled', cold, [1])?.likely).toBe('the water is cold');
    const foam = stateOf({ kind: 'look', wetness: null, foam: 'much' });
    expect(causeInLog('slides', foam, [1])?.likely).toBe('much foam was seen');
    const pools = stateOf({ kind: 'look', wetness: 'pools', foam: null });
    expect(causeInLog('slides', pools, [1])?.likely).toBe('pools of water were seen');
    expect(causeInLog('small', uneven, [1])).toBeNull();
  });

  it('stand until they are mended, with what was rolled since', () => {
    const seen = stateOf(roll(0, 30), { kind: 'fault', fault: 'thin', at: { x: 3, y: 4 } }, roll(0, 50));
    expect(seen.faults).toEqual([
      {
        entryId: 'e1',
        fault: 'thin',
        at: { x: 3, y: 4 },
        rollsThen: 30,
        doneThen: { byDirection: { 0: 30 }, rubs: 0 },
      },
    ]);
    expect(seen.rolls).toBe(80);
    expect(stateOf({ kind: 'fault', fault: 'thin', at: null }, { kind: 'mended', of: 'e0' }).faults).toEqual(
      [],
    );
  });
});

describe('what was seen and tested', () => {
  it('is the last that was said', () => {
    const state = stateOf(
      { kind: 'test', test: 'bend', grade: 0 },
      { kind: 'test', test: 'bend', grade: 2 },
      { kind: 'thickness', thicknessMm: 4, grams: null },
      { kind: 'open', what: 'cut' },
      { kind: 'look', wetness: 'dry', foam: null },
    );
    expect(state.tests).toEqual({ bend: 2 });
    expect(state.thickness?.thicknessMm).toBe(4);
    expect([state.isCut, state.isResistOut]).toEqual([true, false]);
    expect(state.look?.wetness).toBe('dry');
    expect(stateOf({ kind: 'open', what: 'resist-out' }).isResistOut).toBe(true);
  });

  it('every test has a way to do it and at least two grades', () => {
    for (const test of Object.values(FELT_TESTS)) expect(test.grades.length).toBeGreaterThan(1);
  });
});

describe('a test', () => {
  it('is offered for the forms it is for', () => {
    const forForm = (outlineIs: 'resist' | 'cloth' | 'layout', solid = false) =>
      TESTS.filter(name => suits(name, { outlineIs, solid: (solid ? {} : null) as null }));
    expect(forForm('resist')).toEqual(['finger', 'pull', 'light', 'bend', 'resist']);
    expect(forForm('cloth')).toEqual(['finger', 'pull', 'light', 'cloth', 'bend']);
    expect(forForm('layout')).toEqual(['finger', 'pull', 'light', 'bend']);
    expect(forForm('layout', true)).toEqual(['finger', 'squeeze']);
  });
});
