import type { ChainQuantity } from '../../core/chain/quantities';
import type { Dimension } from '../../core/units/units';

/** How a linked figure is read. The range guards against slips of the finger, not against odd felts. */
export const LINK_FIELDS: Readonly<
  Record<
    ChainQuantity,
    {
      readonly dimension: Dimension;
      readonly min: number;
      readonly max: number;
      readonly step: number;
    }
  >
> = {
  size: { dimension: 'length', min: 5, max: 20_000, step: 5 },
  shrinkage: { dimension: 'share', min: 0, max: 0.94, step: 0.01 },
  laidSize: { dimension: 'length', min: 5, max: 20_000, step: 5 },
  grams: { dimension: 'mass', min: 0.1, max: 50_000, step: 1 },
  arealLaid: { dimension: 'areal', min: 1, max: 20_000, step: 10 },
  layers: { dimension: 'count', min: 1, max: 60, step: 1 },
  gramsPerLayer: { dimension: 'mass', min: 0.01, max: 10_000, step: 0.5 },
  thickness: { dimension: 'thickness', min: 0.2, max: 100, step: 0.5 },
  firmness: { dimension: 'density', min: 0.02, max: 1.3, step: 0.01 },
};
