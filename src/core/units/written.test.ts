import { describe, expect, it } from 'vitest';
import { openFigures, parseQuantity } from './units';

// Exact since the international yard and pound agreement of 1959: 1 in = 25.4 mm, 1 lb = 453.59237 g.
const IN = 25.4;
const LB = 453.59237;
const OZ = LB / 16;

/** Lengths, masses and others as people write them, and what they are in mm, g, g/m² or as a share. */
const FORMS = [
  ['30.5', 'length', 305],
  ['30,5', 'length', 305],
  ['30.5cm', 'length', 305],
  ['30.5 cm.', 'length', 305],
  ['30 CM', 'length', 300],
  ['305 mm', 'length', 305],
  ['1.2 m', 'length', 1200],
  ['1,2 m', 'length', 1200],
  ['1 m 20 cm', 'length', 1200],
  ['12 centimetres', 'length', 120],
  ['12 centimeters', 'length', 120],
  ['2 metres', 'length', 2000],
  ['1 in', 'length', IN],
  ['1 in.', 'length', IN],
  ['1in', 'length', IN],
  ['12 inches', 'length', 12 * IN],
  ['12"', 'length', 12 * IN],
  ['12”', 'length', 12 * IN],
  ['12″', 'length', 12 * IN],
  ["12''", 'length', 12 * IN],
  ['½ in', 'length', IN / 2],
  ['1½ in', 'length', 1.5 * IN],
  ['1 ½ in', 'length', 1.5 * IN],
  ['1 1/2 in', 'length', 1.5 * IN],
  ['1-1/2 in', 'length', 1.5 * IN],
  ['1½"', 'length', 1.5 * IN],
  ['3/8 in', 'length', 0.375 * IN],
  ['⅜″', 'length', 0.375 * IN],
  ['5 ft', 'length', 60 * IN],
  ['5 feet', 'length', 60 * IN],
  ['1 foot', 'length', 12 * IN],
  ["5'", 'length', 60 * IN],
  ['5’', 'length', 60 * IN],
  ['5\' 2"', 'length', 62 * IN],
  ["5'2", 'length', 62 * IN],
  ['5\'-2"', 'length', 62 * IN],
  ['5\' - 2"', 'length', 62 * IN],
  ['5’ 2”', 'length', 62 * IN],
  ['5′ 2½″', 'length', 62.5 * IN],
  ['5 ft 2 in', 'length', 62 * IN],
  ['5 feet 2 inches', 'length', 62 * IN],
  ['5ft2in', 'length', 62 * IN],
  ['1 yd', 'length', 36 * IN],
  ['1½ yards', 'length', 54 * IN],
  ['1 yd 4 in', 'length', 40 * IN],
  ['250', 'mass', 250],
  ['250 g', 'mass', 250],
  ['250 grams', 'mass', 250],
  ['1 250 g', 'mass', 1250],
  ['1,250 g', 'mass', 1250],
  ['1,250.5 g', 'mass', 1250.5],
  ['1.250,5 g', 'mass', 1250.5],
  ['1.25 kg', 'mass', 1250],
  ['1,25 kg', 'mass', 1250],
  ['1 kg 250 g', 'mass', 1250],
  ['2¼ oz', 'mass', 2.25 * OZ],
  ['2 1/4 ounces', 'mass', 2.25 * OZ],
  ['4 oz.', 'mass', 4 * OZ],
  ['1 pound', 'mass', LB],
  ['1 lb 4 oz', 'mass', 20 * OZ],
  ['1lb 4oz', 'mass', 20 * OZ],
  ['2 lbs.', 'mass', 2 * LB],
  ['3 mm', 'thickness', 3],
  ['⅛ in', 'thickness', IN / 8],
  ['900 g/m²', 'areal', 900],
  ['900 gsm', 'areal', 900],
  ['33 %', 'share', 0.33],
  ['33 per cent', 'share', 0.33],
] as const;

describe('figures as people write them', () => {
  it.each(FORMS)('%s', (text, dimension, value) => {
    expect(parseQuantity(text, dimension, 'metric')).toBeCloseTo(value, 9);
  });

  it.each([
    ['2 in 5 ft', 'length'],
    ['4 oz 1 lb', 'mass'],
    ['5 g 2', 'mass'],
    ['5 2', 'length'],
    ['1/0 in', 'length'],
    ['5 parsecs', 'length'],
    ['5 ft 2 oz', 'length'],
    ['33 % 5 %', 'share'],
    ['1.2.3', 'length'],
    ['12 ½ ½ in', 'length'],
  ] as const)('%s is none', (text, dimension) => {
    expect(parseQuantity(text, dimension, 'metric')).toBeNull();
  });

  it('one comma before three digits goes by the number format in use', () => {
    const withComma = { units: 'metric', decimal: ',' } as const;
    expect(parseQuantity('1,250 g', 'mass', withComma)).toBeCloseTo(1.25, 9);
    expect(parseQuantity('1,250 g', 'mass', { ...withComma, decimal: '.' })).toBe(1250);
  });

  it('what the format leaves open is asked for, not guessed', () => {
    const withComma = { units: 'metric', decimal: ',' } as const;
    expect(parseQuantity('1.250 g', 'mass', withComma)).toBeNull();
    expect(openFigures('1.250 g', ',')).toEqual(['1250', '1.25']);
    expect(openFigures('1.250 g', '.')).toBeNull();
    expect(openFigures('30.5 cm', ',')).toBeNull();
    expect(openFigures('0.125 in', ',')).toBeNull();
    expect(parseQuantity('30.5 cm', 'length', withComma)).toBeCloseTo(305, 9);
  });
});
