import { densityOf } from './feltNow';
import { areaKept } from '../shrinkage/areaKept';
import { finishedMm, laidMm, shrinkage } from '../quantity';
import { measuredShrinkage } from '../shrinkage/measuredShrinkage';

/** A swatch as it was laid, and as it came out dry; a reading that was not taken is null. */
export interface SwatchReadings {
  readonly laid: { readonly along: number; readonly across: number; readonly grams: number };
  readonly result: {
    readonly along: number | null;
    readonly across: number | null;
    readonly grams: number | null;
    readonly thicknessMm: number | null;
  };
}

/** What a swatch says of its wool; null where a reading is missing. */
export interface SwatchOutcome {
  /** g/m² as laid. */
  readonly arealLaid: number;
  /** Linear shrinkage, each way. */
  readonly along: number | null;
  readonly across: number | null;
  /** g/m² dry. Where it was not weighed dry, all of its wool is taken to have stayed. */
  readonly arealFinished: number | null;
  readonly thicknessMm: number | null;
  /** g/cm³. */
  readonly firmness: number | null;
  /** Share of the wool that stayed. */
  readonly kept: number | null;
}

const MM2_PER_M2 = 1e6;

/**
 * Reads a swatch: shrinkage per direction, weight per area, density.
 * Source: s = (laid − finished)/laid; ρ = g₁/(1000·t).
 * @param readings mm and g, each > 0
 */
export const swatchOutcome = ({ laid, result }: SwatchReadings): SwatchOutcome => {
  const share = (axis: 'along' | 'across'): number | null =>
    result[axis] === null
      ? null
      : measuredShrinkage(laidMm(laid[axis]), finishedMm(result[axis] ?? laid[axis]));
  const [along, across] = [share('along'), share('across')];
  const arealLaid = (laid.grams / (laid.along * laid.across)) * MM2_PER_M2;
  const kept = result.grams === null ? null : result.grams / laid.grams;
  const arealFinished =
    along === null || across === null
      ? null
      : ((kept ?? 1) * arealLaid) / areaKept({ along: shrinkage(along), across: shrinkage(across) });
  return {
    arealLaid,
    along,
    across,
    arealFinished,
    thicknessMm: result.thicknessMm,
    firmness:
      arealFinished === null || result.thicknessMm === null
        ? null
        : densityOf(arealFinished, result.thicknessMm),
    kept,
  };
};
