import { convert } from 'convert';

/** Exact factors of the imperial units, taken from a units library. */
export const MM_PER_INCH = convert(1, 'inch').to('millimeter');
export const GRAMS_PER_OUNCE = convert(1, 'ounce').to('gram');
const MM_PER_YARD = convert(1, 'yard').to('millimeter');
const GRAMS_PER_POUND = convert(1, 'pound').to('gram');

/** Areal weight of one ounce per square yard, in g/m². */
export const GSM_PER_OZ_YD2 = GRAMS_PER_OUNCE / (MM_PER_YARD / 1000) ** 2;
/** Density of a felt of one pound per square yard at one inch of thickness, in g/cm³. */
export const DENSITY_PER_LB_GRADE = GRAMS_PER_POUND / ((MM_PER_YARD / 10) ** 2 * (MM_PER_INCH / 10));
