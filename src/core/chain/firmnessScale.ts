import { DENSITY_PER_LB_GRADE } from '../units/constants';
import { type GramsPerCm3, gramsPerCm3 } from '../quantity';

/** Density of wool fibre itself. Morton & Hearle, Physical Properties of Textile Fibres, from memory. */
export const WOOL_FIBRE_DENSITY = gramsPerCm3(1.31);
/** Above this a felt is not believable (common practice). */
export const DENSEST_FELT = gramsPerCm3(0.6);

/**
 * Density of a pressed-felt trade grade named by pounds per square yard at one inch.
 * Exact from the definitions of pound, yard and inch; the grading is that of ASTM D2475 / SAE J314, from memory.
 * @example pressedFeltDensity(16) // 0.3417
 */
export const pressedFeltDensity = (pounds: number): GramsPerCm3 => gramsPerCm3(pounds * DENSITY_PER_LB_GRADE);

/** A name for how firm a felt is, and the density from which on it is used. */
export type FirmnessName = 'drapes' | 'supple' | 'sturdy' | 'hard';

/** Where on the scale each name stands, softest first. Hand felt usually lies between 0.10 and 0.35 (common practice). */
export const FIRMNESS_MARKS: Readonly<Record<FirmnessName, GramsPerCm3>> = {
  drapes: gramsPerCm3(0.1),
  supple: gramsPerCm3(0.15),
  sturdy: gramsPerCm3(0.2),
  hard: gramsPerCm3(0.3),
};

/** Trade grades that are shown beside hand felt, pounds. */
export const PRESSED_GRADES = [8, 12, 16] as const;

/** The mark that a density lies nearest to. @param density g/cm³, > 0 @example firmnessName(0.19) // 'sturdy' */
export const firmnessName = (density: number): FirmnessName => {
  const off = (name: FirmnessName): number => Math.abs(FIRMNESS_MARKS[name] - density);
  return (['drapes', 'supple', 'sturdy', 'hard'] as const).reduce((best, name) =>
    off(name) < off(best) ? name : best,
  );
};
