import { describe, expect, it } from 'vitest';
import { breedOf, BREEDS } from './breeds';
import { breedWarnings, breedWords } from '../../words/breeds';

describe('breeds', () => {
  it('are found in a felter’s own words, the longest name first', () => {
    expect(breedOf('fine merino, dyed')?.id).toBe('merino');
    expect(breedOf('CORRIEDALE')?.id).toBe('corriedale');
    expect(breedOf('Bluefaced Leicester lamb')?.id).toBe('leicester');
    expect(breedOf('bamboo')?.id).toBe('viscose');
    expect(breedOf('mixed hill fleece')).toBeNull();
    // A name inside another word is another word.
    expect(breedOf('Finnish mill ends')).toBeNull();
    expect(breedOf('')).toBeNull();
  });

  it('say what to mind: down breeds hardly felt, hair sheds, plant fibre is only caught (common practice)', () => {
    const told = (id: string): string =>
      BREEDS.filter(b => b.id === id)
        .flatMap(breedWarnings)
        .join(' ');
    for (const down of ['southdown', 'hampshire', 'suffolk']) expect(told(down)).toContain('hardly felts');
    expect(told('alpaca')).toContain('sheds');
    for (const caught of ['silk', 'viscose', 'linen']) expect(told(caught)).toContain('thin net of wool');
    expect(told('merino')).toBe('');
  });

  it('say in a line what they are known for', () => {
    expect(BREEDS.filter(b => ['merino', 'silk'].includes(b.id)).map(breedWords)).toEqual([
      'Merino felts quickly; usually 17–22 µm',
      'Silk does not felt',
    ]);
  });

  it('have names of their own', () => {
    const names = BREEDS.flatMap(b => [b.name.toLowerCase(), ...(b.also ?? [])]);
    expect(new Set(names).size).toBe(
      names.length - BREEDS.filter(b => b.also?.includes(b.name.toLowerCase())).length,
    );
    expect(new Set(BREEDS.map(b => b.id)).size).toBe(BREEDS.length);
  });
});
