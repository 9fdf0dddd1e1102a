import { describe, expect, it } from 'vitest';
import { roll, stateOf } from '../log/testing/logs';
import { TESTS } from '../acts/vocabulary';
import { suits } from '../acts/feltTests';
import { faultCause } from './faultCause';
import { faultOf } from './faults';

describe('faults', () => {
  it('are known by their id, and nothing else is', () => {
    expect(faultOf('thin')).toEqual({ id: 'thin', hasPlace: true, of: 'flat' });
    expect(faultOf('nonsense')).toBeNull();
    expect(faultOf('constructor')).toBeNull();
  });

  it('the log says which causes are likely', () => {
    const uneven = stateOf({ kind: 'wet', face: 1, water: 'hot' }, roll(0, 200), roll(90, 40));
    expect(faultCause('long', uneven, [1])).toMatchObject({
      because: 'unequal-rolls',
      along: 200,
      across: 40,
    });
    expect(faultCause('long', stateOf(roll(0, 100), roll(90, 100)), [1])).toBeNull();
    expect(faultCause('thin', uneven, [1])).toMatchObject({ because: 'rolled-early', rubs: 0 });
    const oneOfTwo = stateOf({ kind: 'wet', face: 1, water: 'hot' });
    expect(faultCause('fluffy', oneOfTwo, [1, 2])).toMatchObject({ because: 'dry-face' });
    const cold = stateOf({ kind: 'wet', face: 1, water: 'hot' }, { kind: 'water', water: 'cold' });
    expect(faultCause('fluffy', cold, [1])).toMatchObject({ because: 'water', water: 'cold' });
    expect(faultCause('stalled', cold, [1])).toMatchObject({ because: 'water', water: 'cold' });
    const foam = stateOf({ kind: 'look', wetness: null, foam: 'much' });
    expect(faultCause('slides', foam, [1])).toMatchObject({ because: 'much-foam' });
    const pools = stateOf({ kind: 'look', wetness: 'pools', foam: null });
    expect(faultCause('slides', pools, [1])).toMatchObject({ because: 'pools' });
    expect(faultCause('small', uneven, [1])).toBeNull();
  });

  it('stand until they are mended, with what was rolled since', () => {
    const seen = stateOf(roll(0, 30), { kind: 'fault', fault: 'thin', at: { x: 3, y: 4 } }, roll(0, 50));
    expect(seen.faults).toEqual([
      {
        entryId: 'e2',
        fault: 'thin',
        at: { x: 3, y: 4 },
        rollsThen: 30,
        doneThen: { byDirection: { 0: 30 }, rubs: 0 },
      },
    ]);
    expect(seen.rolls).toBe(80);
    expect(stateOf({ kind: 'fault', fault: 'thin', at: null }, { kind: 'mended', of: 'e1' }).faults).toEqual(
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
