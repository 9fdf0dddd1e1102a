import { parseQuantity } from '../units/units';

/** The units that a kitchen scale may say. */
export type ScaleUnit = 'g' | 'oz';

/** A figure with its sign, and the unit behind it, wherever they stand in the line. */
const FIGURE = /([+-]?)\s*(\d{1,6}(?:[.,]\d{1,4})?)\s*(kg|g|oz|lb)?\b/i;

/**
 * Reads one line of a scale: a number and, where it says one, its unit: `12.3 g`, `ST,GS,+  0,45 oz`, `  -0.2g`.
 * @param unit what a line without a unit means
 * @returns grams, or null for a line that holds no figure
 */
export const scaleLine = (line: string, unit: ScaleUnit = 'g'): number | null => {
  const [, sign = '', figure, said] = FIGURE.exec(line) ?? [];
  if (figure === undefined) return null;
  const grams = parseQuantity(`${figure} ${said ?? unit}`, 'mass', 'metric');
  return grams === null ? null : sign === '-' ? -grams : grams;
};

/** Readings that must agree before a scale is taken to stand still. */
const STILL = 4;

/** Whether the last readings agree within a step of the scale. */
export const isStill = (readings: readonly number[], stepG: number): boolean => {
  const last = readings.slice(-STILL);
  return last.length === STILL && Math.max(...last) - Math.min(...last) <= stepG + 1e-9;
};
