import type { ChainQuantity } from '../../core/chain/quantities';
import type { Origin } from '../../core/plan/explain';
import type { Dimension } from '../../core/units/units';

/** How a link is called and read. The range guards against slips of the finger, not against odd felts. */
export const LINK: Readonly<
  Record<
    ChainQuantity,
    {
      readonly label: string;
      readonly dimension: Dimension;
      readonly min: number;
      readonly max: number;
      readonly step: number;
    }
  >
> = {
  size: { label: 'Finished', dimension: 'length', min: 5, max: 20_000, step: 5 },
  shrinkage: { label: 'Shrinkage', dimension: 'share', min: 0, max: 0.94, step: 0.01 },
  laidSize: { label: 'Laid', dimension: 'length', min: 5, max: 20_000, step: 5 },
  grams: { label: 'Wool in all', dimension: 'mass', min: 0.1, max: 50_000, step: 1 },
  arealLaid: { label: 'Laid weight', dimension: 'areal', min: 1, max: 20_000, step: 10 },
  layers: { label: 'Layers per face', dimension: 'count', min: 1, max: 60, step: 1 },
  gramsPerLayer: { label: 'Each layer, each face', dimension: 'mass', min: 0.01, max: 10_000, step: 0.5 },
  thickness: { label: 'Thickness', dimension: 'thickness', min: 0.2, max: 100, step: 0.5 },
  firmness: { label: 'Firmness', dimension: 'density', min: 0.02, max: 1.3, step: 0.01 },
};

export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  pinned: 'pinned by you',
  given: 'given, gives way when it must',
  usual: 'usual for this form (common practice), until you type another',
  follows: 'follows from the others',
  assumed: 'assumed until it is fixed',
  'common practice': 'common practice, no published source',
  form: 'from the form',
};
