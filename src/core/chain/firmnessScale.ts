import { DENSITY_PER_LB_GRADE } from '../units/constants';
import { type GramsPerCm3, gramsPerCm3 } from '../quantity';

/** A named place on the scale of firmness. */
export interface FirmnessMark {
  readonly name: string;
  readonly density: GramsPerCm3;
  readonly source: string;
}

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

const grade = (pounds: number): FirmnessMark => ({
  name: `pressed felt, ${pounds} lb`,
  density: pressedFeltDensity(pounds),
  source: 'grade by weight, ASTM D2475 / SAE J314, from memory',
});

const practice = (name: string, density: number): FirmnessMark => ({
  name,
  density: gramsPerCm3(density),
  source: 'common practice',
});

/** Landmarks of firmness, softest first. Hand felt usually lies between 0.10 and 0.35 (common practice). */
export const FIRMNESS_SCALE: readonly FirmnessMark[] = [
  practice('drapes', 0.1),
  grade(8),
  practice('sturdy', 0.2),
  grade(12),
  practice('hard', 0.3),
  grade(16),
];
