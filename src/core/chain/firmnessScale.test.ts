import { describe, expect, it } from 'vitest';
import { GRAMS_PER_OUNCE, GSM_PER_OZ_YD2, MM_PER_INCH } from '../units/constants';
import { FIRMNESS_SCALE, pressedFeltDensity, WOOL_FIBRE_DENSITY } from './firmnessScale';

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
    const densities = FIRMNESS_SCALE.map(m => m.density);
    expect(densities).toEqual(densities.toSorted((a, b) => a - b));
    expect(Math.max(...densities)).toBeLessThan(WOOL_FIBRE_DENSITY / 2);
  });

  it('names a source for every mark', () => {
    for (const mark of FIRMNESS_SCALE) expect(mark.source).toMatch(/common practice|from memory/);
  });

  it('rests on exact units (international yard and pound agreement, 1959)', () => {
    expect(MM_PER_INCH).toBe(25.4);
    expect(GRAMS_PER_OUNCE).toBeCloseTo(28.349523125, 9);
    expect(GSM_PER_OZ_YD2).toBeCloseTo(33.9057, 4);
  });
});
