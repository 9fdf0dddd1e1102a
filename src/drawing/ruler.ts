import { MM_PER_INCH } from '../core/units/constants';
import type { UnitSystem } from '../core/units/units';

/** A tick of the ruler at the table's edge. Rank 0 carries its figure. */
export interface Tick {
  readonly mm: number;
  readonly rank: 0 | 1 | 2;
  readonly figure: string;
}

const LEAST_PX = 4;
const FIGURE_PX = 44;

const STEPS: Readonly<Record<UnitSystem, { readonly unitMm: number; readonly steps: readonly number[] }>> = {
  metric: { unitMm: 10, steps: [0.1, 0.5, 1, 5, 10, 50, 100] },
  imperial: { unitMm: MM_PER_INCH, steps: [0.125, 0.25, 0.5, 1, 3, 6, 12, 36] },
};

/**
 * Ticks between two places on the table, in the felter's units, as dense as they stay legible.
 * @param range mm  @param pxPerMm scale of the screen
 */
export const rulerTicks = (
  range: { from: number; to: number },
  pxPerMm: number,
  system: UnitSystem,
): readonly Tick[] => {
  const { unitMm, steps } = STEPS[system];
  const stepFor = (px: number): number => steps.find(s => s * unitMm * pxPerMm >= px) ?? steps.at(-1) ?? 1;
  const fine = stepFor(LEAST_PX);
  const figured = Math.max(1, stepFor(FIGURE_PX));
  const middle = Math.max(fine, stepFor(FIGURE_PX / 4));
  const isMultiple = (n: number, of: number): boolean => Math.abs(n / of - Math.round(n / of)) < 1e-6;
  const first = Math.ceil(range.from / (fine * unitMm));
  const last = Math.floor(range.to / (fine * unitMm));
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => {
    const units = (first + i) * fine;
    const rank = isMultiple(units, figured) ? 0 : isMultiple(units, middle) ? 1 : 2;
    return { mm: units * unitMm, rank, figure: rank === 0 ? String(Math.round(Math.abs(units))) : '' };
  });
};
