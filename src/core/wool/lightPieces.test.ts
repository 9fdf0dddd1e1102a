import { describe, expect, it } from 'vitest';
import { laidGrams } from './laidGrams';
import { pileList } from './pileList';
import { weigh } from './weigh';

const face = (name: string, weight = 1) => ({ name, weight, layers: 3, equal: 1 });

describe('light pieces', () => {
  it('a flat flower of 1.38 g is told to the hundredth, and no pile is nothing', () => {
    const flower = weigh({
      grams: 1.38,
      times: 1,
      piles: [{ ...face('face'), layers: 2 }],
      reserveShare: 0.05,
      stepG: 1,
    });
    expect(flower.total).toBe(1.38);
    expect(flower.faces[0]?.layers).toEqual([0.69, 0.69]);
    expect(flower.reserve).toBe(0.07);
  });

  it('is told to the gram where a gram is little of it, and as finely as the scale reads otherwise', () => {
    const of = (grams: number, stepG: number) =>
      weigh({ grams, times: 1, piles: [{ ...face('face'), layers: 4 }], reserveShare: 0, stepG }).stepG;
    expect([of(80, 1), of(20, 1), of(2, 1), of(0.2, 1), of(80, 0.1), of(80, 5)]).toEqual([
      1, 1, 0.01, 0.01, 0.1, 0.1,
    ]);
  });

  it('what was laid is what was weighed, and the plan for what was not', () => {
    const light = weigh({
      grams: 80,
      times: 2,
      piles: [{ ...face('face'), layers: 2 }],
      reserveShare: 0,
      stepG: 1,
    });
    const of = { colours: [], woolId: 'kelp', pieces: 2 };
    const weighed = [
      { pile: '1.1.1.1', grams: 25 },
      { pile: '1.1.1.1', grams: 24 },
    ].map(w => ({ kind: 'weigh' as const, ...w }));
    expect(laidGrams(light, { ...of, weighings: [] })).toBe(40);
    expect(laidGrams(light, { ...of, weighings: weighed })).toBe(42);
  });

  it('a trace of a second colour is a pile too', () => {
    const light = weigh({
      grams: 40,
      times: 1,
      piles: [{ ...face('face'), layers: 2 }],
      reserveShare: 0,
      stepG: 1,
    });
    const piles = pileList(light, {
      colours: [
        [
          { woolId: 'a', share: 99 },
          { woolId: 'b', share: 1 },
        ],
      ],
      woolId: 'a',
    });
    expect(piles.map(p => p.grams)).toEqual([19.8, 0.2, 20]);
  });
});
