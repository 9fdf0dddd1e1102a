import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHAIN, type ChainQuantity } from '../chain/quantities';
import { explain, originOf } from './explain';
import type { PlanInput } from './planInput';
import { setLink, setMeasure, togglePin } from './setLink';
import { PAD, plan } from './testing/pad';

const SYMBOLS: Readonly<Record<string, ChainQuantity>> = {
  k: 'size',
  s: 'shrinkage',
  L: 'laidSize',
  G: 'grams',
  'g₀': 'arealLaid',
  n: 'layers',
  m: 'gramsPerLayer',
  t: 'thickness',
  ρ: 'firmness',
};

describe('why', () => {
  it('gives the formula and inputs that lead to the figure', () => {
    // The pad's worked example: 8 mm · 1000 · 0.25 · (1 − 0.33)² / 0.97 = 925.6 g/m².
    const made = plan(PAD);
    const why = explain(PAD, made, 'arealLaid');
    expect(why.formula).toBe('g₀ = t · 1000 · ρ · kept area / η');
    expect(why.origin).toBe('follows');
    expect(why.inputs.map(i => [i.symbol, Number(i.value.toFixed(4))])).toEqual([
      ['t', 8],
      ['ρ', 0.25],
      ['kept area', 0.4489],
      ['η', 0.97],
    ]);
    expect(made.values.arealLaid).toBeCloseTo(925.57, 2);
    expect(why.inputs.find(i => i.symbol === 'η')?.origin).toBe('common practice');
  });

  it('tells the relation a figure was found by, not one that leads back to it', () => {
    const left = setLink(togglePin(togglePin(PAD, 'thickness'), 'firmness'), 'grams', 200);
    const made = plan(left);
    const why = explain(left, made, 'size');
    expect(why.formula).toBe('k at which A(k) = G / g₀');
    const [grams, areal, area] = why.inputs.map(i => i.value);
    expect(grams).toBe(200);
    expect((grams ?? 0) / (areal ?? 1)).toBeCloseTo(area ?? 0, 6);
    expect(explain(left, made, 'laidSize').formula).toBe('L = k / (1 − s)');
    expect(explain(left, made, 'grams')).toEqual({ formula: null, inputs: [], origin: 'given' });
  });

  it('a shrinkage that is solved for says from what', () => {
    const cut: PlanInput = {
      ...PAD,
      given: ['laidSize', 'grams', 'layers', 'thickness', 'firmness'],
      chain: { ...PAD.chain, laidSize: 597, grams: 259.1 },
    };
    const made = plan(cut);
    expect(made.shrinkage.along).toBeCloseTo(0.33, 3);
    const { formula, inputs } = explain(cut, made, 'shrinkage');
    expect(formula).toContain('A(s)');
    expect(inputs.map(i => i.symbol)).toEqual(['G', 'g₀', 'A']);
  });

  it('names who holds a figure, and what is only usual', () => {
    const pinned = togglePin(PAD, 'size');
    expect(originOf(pinned, plan(pinned), 'size')).toBe('pinned');
    // PAD has the size that a disc begins with.
    expect(originOf(PAD, plan(PAD), 'size')).toBe('usual');
    const larger = setMeasure(PAD, 'diameter', 410);
    expect(originOf(larger, plan(larger), 'size')).toBe('given');
    expect(originOf(PAD, plan(PAD), 'grams')).toBe('follows');
    expect(originOf(PAD, plan(PAD), 'thickness')).toBe('usual');
    const thinner = setLink(PAD, 'thickness', 6);
    expect(originOf(thinner, plan(thinner), 'thickness')).toBe('given');
    for (const link of CHAIN)
      expect(explain(PAD, plan(PAD), link).inputs.every(i => Number.isFinite(i.value))).toBe(true);
  });

  it('every reason leads back to what is held, never round in a circle', () => {
    const set = fc.record({
      link: fc.constantFrom<ChainQuantity>(
        'size',
        'laidSize',
        'grams',
        'thickness',
        'firmness',
        'gramsPerLayer',
      ),
      scale: fc.double({ min: 0.8, max: 1.2, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(set, { maxLength: 6 }), sets => {
        const input = sets.reduce((p, { link, scale }) => {
          const now = plan(p).values[link] ?? 1;
          return setLink(p, link, now * scale);
        }, PAD);
        const made = plan(input);
        // Where the shrinkage itself is solved for, it and the weight are found together.
        fc.pre(made.solution.via.shrinkage === undefined || made.solution.via.shrinkage === 'laying');
        const behind = (link: ChainQuantity, seen: readonly ChainQuantity[]): void => {
          expect(seen).not.toContain(link);
          for (const { symbol } of explain(input, made, link).inputs) {
            const next = SYMBOLS[symbol];
            if (next) behind(next, [...seen, link]);
          }
        };
        for (const link of CHAIN) behind(link, []);
      }),
      { numRuns: 80 },
    );
  });
});
