import { describe, expect, it } from 'vitest';
import { isMisfit, joinOf } from './joins';
import { projectGrams } from './projectGrams';
import { sumNeeds } from './needs';
import { PART_SORTS, PART_USUAL } from './partSorts';
import { PROJECT_KINDS } from './projectKinds';

describe('what is put together', () => {
  it('has each thing of the craft with its pieces, parts and steps', () => {
    expect(PROJECT_KINDS.map(k => k.id)).toEqual([
      'brooch',
      'rose',
      'necklace',
      'earrings',
      'garland',
      'tree',
      'own',
    ]);
    expect(PROJECT_KINDS.find(k => k.id === 'necklace')?.pieces).toEqual([{ what: 'bead', count: 21 }]);
    for (const kind of PROJECT_KINDS) {
      expect(kind.steps.length).toBeGreaterThan(0);
      for (const { sort } of kind.parts) expect(PART_SORTS).toContain(sort);
    }
    expect(Object.keys(PART_USUAL)).toEqual([...PART_SORTS]);
  });

  it('sums what is needed over everything, and says what is short', () => {
    const needs = [
      { id: 'wire', amount: 0.6, of: 'Necklace' },
      { id: 'back', amount: 1, of: 'Brooch' },
      { id: 'back', amount: 2, of: 'Two brooches' },
      { id: 'glue', amount: 5, of: 'Tree' },
    ];
    const left = (id: string): number | null => ({ wire: 4, back: 2, glue: null })[id] ?? null;
    expect(sumNeeds(needs, left)).toEqual([
      { id: 'back', needed: 3, left: 2, short: 1, of: ['Brooch', 'Two brooches'] },
      { id: 'glue', needed: 5, left: null, short: 0, of: ['Tree'] },
      { id: 'wire', needed: 0.6, left: 4, short: 0, of: ['Necklace'] },
    ]);
  });
});

describe('joins that fit', () => {
  // Common practice: a ball a little wider than its cap.
  it.each([
    [10, 10.5, { is: 'holds' }],
    [10, 12, { is: 'holds' }],
    [12, 10, { is: 'falls-out', mm: 2 }],
    [10, 13, { is: 'bulges', mm: 3 }],
  ])('a cap of %f mm and a ball of %f mm', (cap, ball, join) => {
    expect(joinOf('cap', cap, ball)).toEqual(join);
    expect(isMisfit(joinOf('cap', cap, ball) ?? { is: 'holds' })).toBe('mm' in join);
  });

  it('a back that looks out, a cord too thick to be drawn through', () => {
    expect(joinOf('brooch back', 40, 50)).toEqual({ is: 'shows', mm: 35 });
    expect(joinOf('brooch back', 30, 50)).toEqual({ is: 'hidden' });
    expect(joinOf('cord', 4, 20)).toEqual({ is: 'too-thick', mm: 4 });
    expect(joinOf('wire', 0.4, 20)).toEqual({ is: 'drawn' });
  });

  it('says what to mind where nothing was measured, and nothing where nothing is to be said', () => {
    expect(joinOf('cap', null, 20)).toEqual({ is: 'mind-cap' });
    expect(joinOf('wire', 0.4, null)).toEqual({ is: 'mind-thread' });
    expect(joinOf('glue', null, 20)).toBeNull();
    expect(joinOf('brooch back', null, 20)).toBeNull();
  });
});

describe('what the pieces of a project weigh', () => {
  it('is known once each was chosen and weighed', () => {
    const of = (id: string): number | null => ({ a: 2, b: 10 })[id] ?? null;
    const [a, b, none] = [
      { pieceId: 'a', count: 20 },
      { pieceId: 'b', count: 1 },
      { pieceId: null, count: 1 },
    ];
    expect(projectGrams([a, b], of)).toBe(50);
    expect(projectGrams([a, none], of)).toBeNull();
    expect(projectGrams([a, { pieceId: 'c', count: 1 }], of)).toBeNull();
    expect(projectGrams([], of)).toBeNull();
  });
});
