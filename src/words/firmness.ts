import { type FirmnessName, firmnessName } from '../core/chain/firmnessScale';
import { showQuantity, type UnitSystem } from '../core/units/units';

/** How firm a felt is called. Common practice. */
export const FIRMNESS_WORDS: Readonly<Record<FirmnessName, string>> = {
  drapes: 'drapes',
  supple: 'supple',
  sturdy: 'sturdy',
  hard: 'hard',
};

/** How firm a felt is: in words first, its density beside it. @example firmnessText(0.2, 'metric') // 'sturdy, 0.20 g/cm³' */
export const firmnessText = (density: number, units: UnitSystem): string =>
  `${FIRMNESS_WORDS[firmnessName(density)]}, ${showQuantity(density, 'density', units)}`;
