import { additiveSlip } from '../core/shrinkage/additiveSlip';
import type { DecimalMark } from '../core/units/parseNumber';
import { shrinkage } from '../core/quantity';
import {
  type Dimension,
  openFigures,
  parseQuantity,
  showQuantity,
  type UnitSystem,
} from '../core/units/units';
import type { Read } from './NumberField';

/** The mark before the tenths, as this browser writes numbers. */
const DECIMAL: DecimalMark =
  new Intl.NumberFormat().formatToParts(1.5).find(part => part.type === 'decimal')?.value === ',' ? ',' : '.';

/** A reader for fields of one dimension: in either unit system, within a range. */
export const reader =
  (dimension: Dimension, units: UnitSystem, range: { min: number; max: number }) =>
  (text: string): Read => {
    const open = openFigures(text, DECIMAL);
    if (open) return { ok: false, why: `Is it ${open[0]} or ${open[1]}? Type it like that.` };
    const value = parseQuantity(text, dimension, { units, decimal: DECIMAL });
    if (value === null) return { ok: false, why: 'This does not read as a number. Try 30.5, 1,8 or 12 in.' };
    if (!(value >= range.min && value <= range.max)) {
      const show = (v: number): string => showQuantity(v, dimension, units);
      return { ok: false, why: `From ${show(range.min)} to ${show(range.max)}.` };
    }
    return { ok: true, value };
  };

/** A reader for shrinkages. "+30 %" is explained instead of taken. */
export const shrinkageReader =
  (units: UnitSystem) =>
  (text: string): Read => {
    if (!text.trim().startsWith('+')) return reader('share', units, { min: 0, max: 0.94 })(text);
    const added = parseQuantity(text.trim().slice(1), 'share', units) ?? 0;
    const percent = Math.round(added * 100);
    const share = additiveSlip(shrinkage(added)).toFixed(2);
    return {
      ok: false,
      why: `Adding ${percent} % ends up at ${share} of the target size: divide by ${(1 - added).toFixed(2)} instead of multiplying by ${(1 + added).toFixed(2)}. Type ${percent} for a loss of ${percent} %.`,
    };
  };
