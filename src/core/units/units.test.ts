import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseNumber } from './parseNumber';
import { showArea } from './showArea';
import { homeUnit, parseQuantity, showFigure, showQuantity } from './units';

describe('areas', () => {
  it('are said in cm² or ft²; a square foot is 929.0304 cm², exact from the inch', () => {
    expect(showArea(0.28, 'metric')).toBe('2800 cm²');
    expect(showArea(0.092_903_04, 'imperial')).toBe('1.00 ft²');
    expect(showArea(0.092_903_04, 'metric')).toBe('929 cm²');
  });
});

describe('reading numbers', () => {
  it.each([
    ['30.5', 30.5],
    ['1,8', 1.8],
    ['1 3/4', 1.75],
    ['3/8', 0.375],
    ['1 250', 1250],
    ['1,250.5', 1250.5],
    ['.5', 0.5],
    [' 12 ', 12],
    ['−', null],
    ['1.2.3', null],
    ['1/0', null],
    ['', null],
    ['abc', null],
    ['1e3', null],
    ['=1+1', null],
  ])('%j is %j', (text, value) => {
    expect(parseNumber(text)).toBe(value);
  });
});

describe('reading quantities', () => {
  it.each([
    ['12 in', 'length', 'metric', 304.8],
    ['30.5', 'length', 'metric', 305],
    ['12', 'length', 'imperial', 304.8],
    ['30.5cm', 'length', 'imperial', 305],
    ['305 mm', 'length', 'metric', 305],
    ['1 3/4 oz', 'mass', 'metric', 1.75 * 28.349523125],
    ['1,8', 'thickness', 'metric', 1.8],
    ['1/8 in', 'thickness', 'metric', 3.175],
    ['2\' 3"', 'length', 'imperial', 27 * 25.4],
    ['1 1/2"', 'length', 'metric', 38.1],
    ['1.2 kg', 'mass', 'metric', 1200],
    ['33 %', 'share', 'metric', 0.33],
    ['33', 'share', 'imperial', 0.33],
    ['900 g/m2', 'areal', 'metric', 900],
    ['0.25', 'density', 'imperial', 0.25],
  ] as const)('%j as %s (%s)', (text, dimension, system, value) => {
    expect(parseQuantity(text, dimension, system)).toBeCloseTo(value, 9);
  });

  it.each([
    ['12 stone', 'mass'],
    ['5 g', 'length'],
    ['in', 'length'],
    ['', 'length'],
    ['NaN', 'mass'],
    ['Infinity', 'mass'],
  ] as const)('%j is no %s', (text, dimension) => {
    expect(parseQuantity(text, dimension, 'metric')).toBeNull();
  });
});

describe('showing quantities', () => {
  it.each([
    [305, 'length', 'metric', '30.5 cm'],
    [304.8, 'length', 'imperial', '12 in'],
    [311.15, 'length', 'imperial', '12 1/4 in'],
    [3.175, 'length', 'imperial', '1/8 in'],
    [28.349523125, 'mass', 'imperial', '1.00 oz'],
    [42.63, 'mass', 'metric', '42.6 g'],
    [0.331, 'share', 'metric', '33 %'],
    [0.25, 'density', 'imperial', '0.25 g/cm³'],
    [-0.001, 'mass', 'metric', '0.0 g'],
    [4, 'count', 'metric', '4'],
    [Number.NaN, 'mass', 'metric', '—'],
  ] as const)('%d as %s (%s) is %s', (value, dimension, system, shown) => {
    expect(showQuantity(value, dimension, system)).toBe(shown);
  });

  it('switching units and back changes nothing that is stored, and no more than a tape’s reading when retyped', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (length, units) => {
          const typed = parseQuantity(showQuantity(length, 'length', units), 'length', units);
          expect(Math.abs((typed ?? Number.NaN) - length)).toBeLessThanOrEqual(
            units === 'metric' ? 0.5 + 1e-9 : 25.4 / 16 + 1e-9,
          );
        },
      ),
    );
  });

  it('a figure without its unit reads back in its home unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 5000, noNaN: true }), grams => {
        for (const units of ['metric', 'imperial'] as const) {
          expect(homeUnit('mass', units)).toBe(units === 'metric' ? 'g' : 'oz');
          const typed = parseQuantity(showFigure(grams, 'mass', { units }), 'mass', units);
          expect(Math.abs((typed ?? Number.NaN) - grams)).toBeLessThan(0.15);
        }
      }),
    );
  });
});
