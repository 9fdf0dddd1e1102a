import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placesOf, showMoney } from './currency';
import { costOfAmount, dividedMoney, minorOf, shareOf, shareUp, unitsOf } from './exact';

describe('money', () => {
  it('is counted in the smallest unit, rounded once, half up', () => {
    // 42 g at 3.20 for 100 g: 1.344.
    expect(costOfAmount({ price: 3.2, per: 100, amount: 42, places: 2 })).toBe(134);
    // Exactly half a cent goes up; the nearest binary fraction of 1.005 is below it, and must not be what is rounded.
    expect(minorOf(1.005, 2)).toBe(101);
    expect(minorOf(0.285, 2)).toBe(29);
    expect(minorOf(8.345, 2)).toBe(835);
    expect(minorOf(1e-7, 2)).toBe(0);
    expect(minorOf(1.5e3, 2)).toBe(150_000);
    expect(costOfAmount({ price: 0.035, per: 1, amount: 21, places: 2 })).toBe(74);
  });

  it('agrees with sums in whole numbers, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e7 }),
        fc.integer({ min: 0, max: 1e7 }),
        fc.constantFrom(0, 2, 3),
        (price, amount, places) => {
          // A price in thousandths and an amount in hundredths, for 100: worked out in BigInt beside it.
          const exact = BigInt(price) * BigInt(amount) * 10n ** BigInt(places);
          const divisor = 1000n * 100n * 100n;
          const half = (2n * exact + divisor) / (2n * divisor);
          expect(costOfAmount({ price: price / 1000, per: 100, amount: amount / 100, places })).toBe(
            Number(half),
          );
        },
      ),
      { numRuns: 500 },
    );
  });

  it('refuses what cannot be counted', () => {
    expect(() => minorOf(Number.NaN, 2)).toThrow(RangeError);
    expect(() => minorOf(Number.POSITIVE_INFINITY, 2)).toThrow(RangeError);
    expect(() => minorOf(1e20, 2)).toThrow(RangeError);
  });

  it('comes back as it was typed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e11 }), fc.constantFrom(0, 2, 3), (minor, places) => {
        expect(minorOf(Number(unitsOf(minor, places).toFixed(places)), places)).toBe(minor);
      }),
    );
  });

  it('is divided to the cent: parts sum to the whole, each within one of its share', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1e9, max: 1e9 }),
        fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 30 }),
        (minor, weights) => {
          const all = weights.reduce((a, b) => a + b, 0);
          fc.pre(all > 0);
          const parts = dividedMoney(minor, weights);
          expect(parts.reduce((a, b) => a + b, 0)).toBe(minor);
          parts.forEach((part, i) => {
            expect(Math.abs(part - (minor * (weights[i] ?? 0)) / all)).toBeLessThan(1 + 1e-6);
          });
        },
      ),
    );
    expect(dividedMoney(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(dividedMoney(100, [0, 0])).toEqual([0, 0]);
  });

  it('takes shares to the cent, and upwards where a price must not fall short', () => {
    expect(shareOf(1200, 2735, 60)).toBe(54_700);
    expect(shareOf(5, 1, 2)).toBe(3);
    expect(shareOf(-5, 1, 2)).toBe(-3);
    expect(shareUp(601, 10_000, 6000)).toBe(1002);
    expect(shareUp(600, 10_000, 6000)).toBe(1000);
    expect(shareUp(-7, 1, 2)).toBe(-3);
  });
});

describe('currencies', () => {
  // ISO 4217, list one: minor units of the yen 0, the euro 2, the dinar of Kuwait 3 (from memory).
  it.each([
    ['JPY', 0],
    ['EUR', 2],
    ['SEK', 2],
    ['KWD', 3],
  ])('%s has %d decimals', (code, places) => {
    expect(placesOf(code)).toBe(places);
  });

  const plain = (text: string): string => text.replaceAll(/[\u00a0\u202f]/g, ' ');
  it.each([
    [450, 'EUR', 'en-IE', '€4.50'],
    [123_450, 'EUR', 'de-DE', '1.234,50 €'],
    [123_450, 'EUR', 'fr-FR', '1 234,50 €'],
    [1234, 'JPY', 'ja-JP', '￥1,234'],
    [1500, 'KWD', 'en-GB', 'KWD 1.500'],
    [99_900, 'SEK', 'sv-SE', '999,00 kr'],
  ])('%d of %s is written as in %s', (minor, code, locale, text) => {
    expect(plain(showMoney(minor, { code, locale }))).toBe(text);
  });
});
