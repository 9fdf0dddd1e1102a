import { GRAMS_PER_OUNCE, GSM_PER_OZ_YD2, MM_PER_INCH } from './constants';
import { parseNumber } from './parseNumber';

/** Which units a felter reads. Everything is stored in mm and g whichever is shown. */
export type UnitSystem = 'metric' | 'imperial';

/** What kind of figure is read or shown. Thickness is given in mm or inches; lengths in cm or inches. */
export type Dimension = 'length' | 'thickness' | 'mass' | 'areal' | 'density' | 'share' | 'count';

interface Unit {
  readonly names: readonly string[];
  /** Stored units in one of these. */
  readonly size: number;
}

const UNITS: Readonly<Record<Dimension, Readonly<Record<string, Unit>>>> = {
  length: {
    cm: { names: ['cm'], size: 10 },
    in: { names: ['in', 'inch', 'inches', '"', '″', '”'], size: MM_PER_INCH },
    mm: { names: ['mm'], size: 1 },
    m: { names: ['m'], size: 1000 },
    ft: { names: ['ft', "'", '′'], size: 12 * MM_PER_INCH },
  },
  thickness: {
    mm: { names: ['mm'], size: 1 },
    cm: { names: ['cm'], size: 10 },
    in: { names: ['in', 'inch', 'inches', '"', '″', '”'], size: MM_PER_INCH },
  },
  mass: {
    g: { names: ['g', 'gram', 'grams', 'gr'], size: 1 },
    kg: { names: ['kg'], size: 1000 },
    oz: { names: ['oz', 'ounce', 'ounces'], size: GRAMS_PER_OUNCE },
    lb: { names: ['lb', 'lbs'], size: 16 * GRAMS_PER_OUNCE },
  },
  areal: {
    'g/m²': { names: ['g/m²', 'g/m2', 'gsm'], size: 1 },
    'oz/yd²': { names: ['oz/yd²', 'oz/yd2'], size: GSM_PER_OZ_YD2 },
  },
  density: { 'g/cm³': { names: ['g/cm³', 'g/cm3'], size: 1 } },
  share: { '%': { names: ['%', 'percent'], size: 0.01 } },
  count: { '': { names: [''], size: 1 } },
};

const HOME: Readonly<Record<UnitSystem, Readonly<Record<Dimension, string>>>> = {
  metric: {
    length: 'cm',
    thickness: 'mm',
    mass: 'g',
    areal: 'g/m²',
    density: 'g/cm³',
    share: '%',
    count: '',
  },
  imperial: {
    length: 'in',
    thickness: 'in',
    mass: 'oz',
    areal: 'oz/yd²',
    density: 'g/cm³',
    share: '%',
    count: '',
  },
};

/** The unit that a bare number is taken in. */
export const homeUnit = (dimension: Dimension, system: UnitSystem): string => HOME[system][dimension];

const sizeOf = (dimension: Dimension, name: string): number | null => {
  const wanted = name.trim().toLowerCase();
  const unit = Object.values(UNITS[dimension]).find(u => u.names.includes(wanted));
  return unit?.size ?? null;
};

/**
 * Reads a figure with or without a unit, in either system: `12 in`, `30.5`, `1,8`, `1 3/4 oz`, `2' 3"`.
 * @returns mm, g, g/m², g/cm³, a share or a count; null when it cannot be read
 */
export const parseQuantity = (text: string, dimension: Dimension, system: UnitSystem): number | null => {
  const feet =
    dimension === 'length' ? /^(\d+)\s*(?:'|′|ft)\s*([^'′]+?)\s*(?:"|″|in)?$/.exec(text.trim()) : null;
  if (feet) {
    const inches = parseNumber(feet[2] ?? '');
    return inches === null ? null : (Number(feet[1]) * 12 + inches) * MM_PER_INCH;
  }
  const match = /^([+\-\d\s.,/\u00a0\u202f]*\d[.,]?)\s*(\D*?[23²³]?)$/.exec(text.trim());
  if (!match) return null;
  const value = parseNumber(match[1] ?? '');
  const unit = (match[2] ?? '').trim();
  const size = sizeOf(dimension, unit === '' ? homeUnit(dimension, system) : unit);
  return value === null || size === null ? null : value * size;
};

const EIGHTHS = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'] as const;

const inEighths = (inches: number): string => {
  const eighths = Math.round(Math.abs(inches) * 8);
  const whole = Math.floor(eighths / 8);
  const part = EIGHTHS[eighths % 8] ?? '';
  const text = part === '' ? String(whole) : whole === 0 ? part : `${whole} ${part}`;
  return inches < 0 && eighths > 0 ? `−${text}` : text;
};

const fixed = (value: number, places: number): string =>
  (Object.is(Number(value.toFixed(places)), -0) ? 0 : value).toFixed(places);

/** How many places a tape, a scale or a caliper reads. */
const PLACES: Readonly<Record<string, number>> = {
  cm: 1,
  mm: 1,
  g: 1,
  'g/m²': 0,
  'oz/yd²': 1,
  'g/cm³': 2,
  '%': 0,
  oz: 2,
  '': 0,
};

/**
 * A figure without its unit, rounded to what a tape or scale can read: 0.1 cm, 1/8 in, 0.1 g.
 * @param as the units a felter reads, and decimal places when others than usual are wanted
 */
export const showFigure = (
  value: number,
  dimension: Dimension,
  as: { readonly units: UnitSystem; readonly places?: number },
): string => {
  const unit = homeUnit(dimension, as.units);
  const inUnit = value / (UNITS[dimension][unit]?.size ?? 1);
  if (!Number.isFinite(inUnit)) return '—';
  if (unit === 'in' && dimension === 'length') return inEighths(inUnit);
  return fixed(inUnit, as.places ?? (unit === 'in' ? 2 : (PLACES[unit] ?? 1)));
};

/**
 * A figure with its unit, in the units a felter reads.
 * @example showQuantity(305, 'length', 'imperial') // '12 in'
 */
export const showQuantity = (value: number, dimension: Dimension, units: UnitSystem): string => {
  const unit = homeUnit(dimension, units);
  const figure = showFigure(value, dimension, { units });
  return unit === '' || figure === '—' ? figure : `${figure} ${unit}`;
};

/** A share in whole per cent, the same in every unit system. @example showShare(0.331) // '33 %' */
export const showShare = (share: number): string => showQuantity(share, 'share', 'metric');
