import type { ChainQuantity } from '../chain/quantities';

/** What the links of the chain are called within a sentence, with the unit of their figures. */
export const LINK_NAMES: Readonly<Record<ChainQuantity, string>> = {
  size: 'finished size, mm',
  shrinkage: 'shrinkage, as a share',
  laidSize: 'laid size, mm',
  grams: 'wool in all, g',
  arealLaid: 'laid weight, g/m²',
  layers: 'layers per face',
  gramsPerLayer: 'grams per face and layer',
  thickness: 'thickness, mm',
  firmness: 'firmness, g/cm³',
};
