import type { Limit } from '../limits';
import { WOOL_FIBRE_DENSITY } from './firmnessScale';
import type { ChainQuantity } from './quantities';

/**
 * What the links of the chain may be: a figure beyond is a slip of the finger, whether typed or following from the others, and
 * nothing is made of it. Lengths mm, grams g, areal weight g/m², firmness g/cm³ up to wool fibre itself. Common practice.
 */
export const CHAIN_LIMITS: Readonly<Record<ChainQuantity, Limit>> = {
  size: { least: 1, most: 20_000 },
  shrinkage: { least: 0, most: 0.95 },
  laidSize: { least: 1, most: 20_000 },
  grams: { least: 0.001, most: 1_000_000 },
  arealLaid: { least: 0.1, most: 100_000 },
  layers: { least: 0.001, most: 200 },
  gramsPerLayer: { least: 0.0001, most: 100_000 },
  thickness: { least: 0.01, most: 300 },
  firmness: { least: 0.001, most: WOOL_FIBRE_DENSITY },
};
