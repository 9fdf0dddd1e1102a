import { describe, expect, it } from 'vitest';
import { joinAdvice } from './joins';
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
    [10, 10.5, true],
    [10, 12, true],
    [10, 9.5, false],
    [10, 13, false],
  ])('a cap of %f mm and a ball of %f mm: %s', (cap, ball, fits) => {
    expect(joinAdvice('cap', cap, ball)?.fits).toBe(fits);
  });

  it('says by how much it does not fit, and what helps', () => {
    expect(joinAdvice('cap', 12, 10)?.text).toContain('2 mm too thin');
    expect(joinAdvice('brooch back', 40, 50)).toEqual({
      fits: false,
      text: 'The back looks out: it should be 35 mm at the most.',
    });
    expect(joinAdvice('cord', 4, 20)?.text).toContain('leave a stick of 4 mm in while felting');
    expect(joinAdvice('wire', 0.4, 20)?.fits).toBe(true);
  });

  it('says what to mind where nothing was measured, and nothing where nothing is to be said', () => {
    expect(joinAdvice('cap', null, 20)?.fits).toBeNull();
    expect(joinAdvice('wire', 0.4, null)?.fits).toBeNull();
    expect(joinAdvice('glue', null, 20)).toBeNull();
    expect(joinAdvice('brooch back', null, 20)).toBeNull();
  });
});
