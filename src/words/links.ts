import type { ChainQuantity } from '../core/chain/quantities';
import type { FormulaPart, Origin } from '../core/plan/explain';

/** What each linked figure is called beside its field. */
export const LINK_LABELS: Readonly<Record<ChainQuantity, string>> = {
  size: 'Finished',
  shrinkage: 'Shrinkage',
  laidSize: 'Laid',
  grams: 'Total wool',
  arealLaid: 'Wool per area, laid',
  layers: 'Layers per side',
  gramsPerLayer: 'Each layer, each side',
  thickness: 'Thickness',
  firmness: 'Firmness',
};

/** What each is called within a sentence, with the unit of its figure. */
export const LINK_NAMES: Readonly<Record<ChainQuantity, string>> = {
  size: 'finished size, mm',
  shrinkage: 'shrinkage, as a share',
  laidSize: 'laid size, mm',
  grams: 'total wool, g',
  arealLaid: 'wool per area, laid, g/m²',
  layers: 'layers per side',
  gramsPerLayer: 'grams per side and layer',
  thickness: 'thickness, mm',
  firmness: 'firmness, g/cm³',
};

/** What the inputs of a formula are called; of several pieces, those that count all of them say so. */
export const partWords = (part: FormulaPart, pieces: number): string => {
  const ofAll = pieces > 1 ? `, of all ${pieces}` : '';
  switch (part) {
    case 'A':
      return `area of the laid wool with its fold-over${ofAll}`;
    case 'V':
      return `volume of the felt${ofAll}`;
    case 'kept':
      return '(1 − s lengthwise)(1 − s crosswise)';
    case 'eta':
      return 'share of the wool that stays';
    case 'faces':
      return 'sides laid';
    case 'pieces':
      return 'pieces alike';
    case 'size':
      return 'finished size';
    case 'shrinkage':
      return 'shrinkage lengthwise';
    case 'laidSize':
      return 'laid size';
    case 'grams':
      return 'total wool';
    case 'arealLaid':
      return 'wool per area, laid';
    case 'layers':
      return 'layers per side';
    case 'gramsPerLayer':
      return 'grams per side and layer';
    case 'thickness':
    case 'firmness':
      return part;
  }
};

/** Where a figure comes from. */
export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  pinned: 'kept by you',
  given: 'typed by you; it may change to fit what you keep',
  usual: 'usual for this form (common practice) until you type another',
  follows: 'worked out from the others',
  assumed: 'assumed until you fix it',
  'common practice': 'common practice, no published source',
  form: 'from the form',
};
