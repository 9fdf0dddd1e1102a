/**
 * Areal weight of a felt as it measures now: what was laid and stays, over what is left of the area.
 * @param laidGsm g/m² laid  @param keptShare of the wool that stays  @param now length as a share of the laid one, each way
 */
export const arealNow = (
  laidGsm: number,
  keptShare: number,
  now: { readonly along: number; readonly across: number },
): number => (keptShare * laidGsm) / (now.along * now.across);

/** Density from areal weight and thickness, g/cm³. @param gsm g/m²  @param thicknessMm mm, > 0 */
export const densityOf = (gsm: number, thicknessMm: number): number => gsm / (1000 * thicknessMm);
