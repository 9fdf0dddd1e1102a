import { MM_PER_INCH } from './constants';
import type { UnitSystem } from './units';

const CM3_PER_IN3 = (MM_PER_INCH / 10) ** 3;
const CM3_PER_LITRE = 1000;

/**
 * A volume in the units a felter reads: cm³ to three figures, litres above one, or in³.
 * @param cm3 ≥ 0
 * @example showVolume(1240, 'metric') // '1.24 l'
 */
export const showVolume = (cm3: number, units: UnitSystem): string => {
  if (units === 'imperial') return `${(cm3 / CM3_PER_IN3).toPrecision(3)} in³`;
  return cm3 >= CM3_PER_LITRE ? `${(cm3 / CM3_PER_LITRE).toFixed(2)} l` : `${Number(cm3.toPrecision(3))} cm³`;
};
