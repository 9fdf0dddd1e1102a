import { MM_PER_INCH } from './constants';
import type { UnitSystem } from './units';

const CM2_PER_M2 = 1e4;
const M2_PER_FT2 = (0.012 * MM_PER_INCH) ** 2;

/**
 * An area in the units a felter reads: whole cm², or ft² to two places.
 * @param m2 ≥ 0
 * @example showArea(0.28, 'metric') // '2800 cm²'
 */
export const showArea = (m2: number, units: UnitSystem): string =>
  units === 'metric' ? `${(m2 * CM2_PER_M2).toFixed(0)} cm²` : `${(m2 / M2_PER_FT2).toFixed(2)} ft²`;
