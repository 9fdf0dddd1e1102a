import { describe, expect, it } from 'vitest';
import { GRAMS_PER_OUNCE, GSM_PER_OZ_YD2, MM_PER_INCH } from '../units/constants';
import {
  FIRMNESS_MARKS,
  firmnessName,
  PRESSED_GRADES,
  pressedFeltDensity,
  WOOL_FIBRE_DENSITY,
} from './firmnessScale';

describe('the scale of firmness', () => {
  // Pressed felt is graded by pounds per square yard at one inch (ASTM D2475 / SAE J314, from memory); the
  // densities are exact from the international pound (453.59237 g) and yard (914.4 mm), 1959.
  it.each([
    [8, 0.1709],
    [12, 0.2563],
    [16, 0.3417],
  ])('%i lb felt is %f g/cm³', (pounds, density) => {
    expect(pressedFeltDensity(pounds)).toBeCloseTo(density, 4);
    expect(pressedFeltDensity(pounds)).toBeCloseTo((pounds * 453.59237) / (91.44 * 91.44 * 2.54), 10);
  });

  it('rises, and stays well below the density of the fibre', () => {
    const densities = Object.values(FIRMNESS_MARKS);
    expect(densities).toEqual(densities.toSorted((a, b) => a - b));
    expect(Math.max(...densities, ...PRESSED_GRADES.map(pressedFeltDensity))).toBeLessThan(
      WOOL_FIBRE_DENSITY / 2,
    );
  });

  it('calls a felt by the nearest mark, beyond the ends by the last', () => {
    expect([0.05, 0.11, 0.14, 0.19, 0.24, 0.26, 0.5].map(firmnessName)).toEqual([
      'drapes',
      'drapes',
      'supple',
      'sturdy',
      'sturdy',
      'hard',
      'hard',
    ]);
  });

  it('rests on exact units (international yard and pound agreement, 1959)', () => {
    expect(MM_PER_INCH).toBe(25.4);
    expect(GRAMS_PER_OUNCE).toBeCloseTo(28.349523125, 9);
    expect(GSM_PER_OZ_YD2).toBeCloseTo(33.9057, 4);
  });
});
