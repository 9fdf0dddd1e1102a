import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CostItem, costOf, leftOf, perPiece, priceFor } from './costOf';
import { shelfWorth } from './shelfWorth';

const wool = (amount: number, price: number | null): CostItem => ({
  is: 'wool',
  id: 'oat',
  amount,
  price,
  per: 100,
});
const RATES = { places: 2, hourMinor: 1500, sittingMinor: 40, overheadBp: 1000 };

describe('what a making costs', () => {
  // By hand: twelve mats of 72 g at 3.20 € for 100 g are 864 g, 27.65 € (27.648). A hanging loop each at 0.15 €: 1.80 €. Four sittings
  // of soap at 0.40 €: 1.60 €. Ten hours and twenty minutes at 15 €: 155.00 €. All that is 186.05 €; a tenth on top 18.61 € (18.605).
  // Altogether 204.66 €: 17.06 € (17.055) each.
  it('a worked example', () => {
    const cost = costOf(
      [wool(864, 3.2), { is: 'part', id: 'loop', amount: 12, price: 0.15, per: 1 }],
      { handsMin: 620, sittings: 4 },
      RATES,
    );
    expect(cost.lines.map(l => [l.is, l.minor])).toEqual([
      ['wool', 2765],
      ['part', 180],
      ['soap', 160],
      ['hands', 15_500],
      ['overhead', 1861],
    ]);
    expect(cost.total).toBe(20_466);
    expect(perPiece(cost.total, 12)).toEqual({ each: 1706, dozen: 20_466 });
  });

  // By hand: one at 17.06 €, wanted a margin of 30 % with a fee of 5 %: 17.06 ÷ 0.65 = 26.2462 → 26.25 €.
  // Of that the fee is 1.31 €, and 7.88 € are left: 30 %.
  it('and the price of one', () => {
    expect(priceFor(1706, { marginBp: 3000, feeBp: 500 })).toBe(2625);
    expect(leftOf(2625, 1706, 500)).toEqual({ minor: 788, bp: 3002 });
    expect(priceFor(1706, { marginBp: 6000, feeBp: 4000 })).toBeNull();
    expect(priceFor(0, { marginBp: 3000, feeBp: 0 })).toBe(0);
    expect(leftOf(0, 0, 500)).toEqual({ minor: 0, bp: 0 });
  });

  it.each([
    [0, 3, 5],
    [2, 276, 450],
    [3, 2765, 4500],
  ])('in a currency of %d decimals', (places, minor, hands) => {
    const cost = costOf(
      [wool(86.4, 3.2)],
      { handsMin: 18, sittings: 0 },
      {
        places,
        hourMinor: 15 * 10 ** places,
        sittingMinor: null,
        overheadBp: 0,
      },
    );
    expect(cost.lines.map(l => l.minor)).toEqual([minor, hands]);
  });

  it('what has no price is told and left out; nothing is counted twice', () => {
    const cost = costOf([wool(50, null)], { handsMin: 60, sittings: 1 }, { ...RATES, hourMinor: null });
    expect(cost.open).toBe(2);
    expect(cost.total).toBe(44);
    expect(cost.lines.find(l => l.is === 'wool')?.minor).toBeNull();
  });

  it('the total is the sum of its lines, and the price leaves the margin after the fee', () => {
    const items = fc.array(
      fc.record({ grams: fc.integer({ min: 0, max: 100_000 }), price: fc.integer({ min: 0, max: 5000 }) }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(
        items,
        fc.integer({ min: 0, max: 5000 }),
        fc.integer({ min: 0, max: 5000 }),
        fc.integer({ min: 0, max: 4000 }),
        (drawn, handsMin, marginBp, feeBp) => {
          const cost = costOf(
            drawn.map(d => wool(d.grams / 100, d.price / 100)),
            { handsMin, sittings: 2 },
            RATES,
          );
          expect(cost.lines.reduce((sum, l) => sum + (l.minor ?? 0), 0)).toBe(cost.total);
          expect(Number.isSafeInteger(cost.total)).toBe(true);
          const price = priceFor(cost.total, { marginBp, feeBp });
          if (price === null) return;
          // In whole numbers: what is left after cost and fee is the margin at least, and a cent less is not.
          const isEnough = (p: number): boolean =>
            BigInt(p) * BigInt(10_000 - marginBp - feeBp) >= BigInt(cost.total) * 10_000n;
          expect(isEnough(price)).toBe(true);
          expect(price === 0 || !isEnough(price - 1)).toBe(true);
        },
      ),
    );
  });
});

describe('the shelf', () => {
  it('is worth what is left of it, at what was paid', () => {
    const things = [
      { left: 640, per100g: 3.2 },
      { left: 33, per100g: 6.45 },
      { left: null, per100g: 4 },
      { left: 85, per100g: null },
    ];
    // 20.48 and 2.1285.
    expect(shelfWorth(things, 2)).toEqual({ total: 2048 + 213, open: 2 });
    expect(shelfWorth([], 2)).toEqual({ total: 0, open: 0 });
  });
});
