import { GRAMS_PER_OUNCE, GSM_PER_OZ_YD2, MM_PER_INCH } from './constants';
import { type DecimalMark, openReadings, parseNumber, plainNumber } from './parseNumber';

/** Which units a felter reads. Everything is stored in mm and g whichever is shown. */
export type UnitSystem = 'metric' | 'imperial';

/** What kind of figure is read or shown. Thickness is given in mm or inches; lengths in cm or inches. */
export type Dimension = 'length' | 'thickness' | 'mass' | 'areal' | 'density' | 'share' | 'count';

interface Unit {
  readonly names: readonly string[];
  /** Stored units in one of these. */
  readonly size: number;
}

const INCH = ['in', 'ins', 'inch', 'inches', '"'];
const CENTIMETRE = ['cm', 'cms', 'centimetre', 'centimetres', 'centimeter', 'centimeters'];
const MILLIMETRE = ['mm', 'mms', 'millimetre', 'millimetres', 'millimeter', 'millimeters'];

const UNITS: Readonly<Record<Dimension, Readonly<Record<string, Unit>>>> = {
  length: {
    cm: { names: CENTIMETRE, size: 10 },
    in: { names: INCH, size: MM_PER_INCH },
    mm: { names: MILLIMETRE, size: 1 },
    m: { names: ['m', 'metre', 'metres', 'meter', 'meters'], size: 1000 },
    ft: { names: ['ft', 'foot', 'feet', "'"], size: 12 * MM_PER_INCH },
    yd: { names: ['yd', 'yds', 'yard', 'yards'], size: 36 * MM_PER_INCH },
  },
  thickness: {
    mm: { names: MILLIMETRE, size: 1 },
    cm: { names: CENTIMETRE, size: 10 },
    in: { names: INCH, size: MM_PER_INCH },
  },
  mass: {
    g: { names: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes'], size: 1 },
    kg: { names: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], size: 1000 },
    oz: { names: ['oz', 'ounce', 'ounces'], size: GRAMS_PER_OUNCE },
    lb: { names: ['lb', 'lbs', 'pound', 'pounds'], size: 16 * GRAMS_PER_OUNCE },
  },
  areal: {
    'g/m²': { names: ['g/m²', 'g/m2', 'gsm'], size: 1 },
    'oz/yd²': { names: ['oz/yd²', 'oz/yd2'], size: GSM_PER_OZ_YD2 },
  },
  density: { 'g/cm³': { names: ['g/cm³', 'g/cm3'], size: 1 } },
  share: { '%': { names: ['%', 'percent', 'per cent'], size: 0.01 } },
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

const FEET = 12 * MM_PER_INCH;

/** The unit that a bare number is taken in. */
export const homeUnit = (dimension: Dimension, system: UnitSystem): string => HOME[system][dimension];

const sizeOf = (dimension: Dimension, name: string): number | null => {
  const wanted = name.trim().toLowerCase().replace(/\.$/, '');
  const unit = Object.values(UNITS[dimension]).find(u => u.names.includes(wanted));
  return unit?.size ?? null;
};

/** Marks of feet and inches as one kind each, whatever quotation marks stand for them. */
const plainMarks = (text: string): string =>
  plainNumber(text)
    .replaceAll(/[’‘′`]/g, "'")
    .replaceAll(/[”“″]|''/g, '"');

/** A figure, and what stands behind it until the next one. A hyphen may join parts: 5'-2". */
const PART =
  /\s*-?\s*(\d+[ -]\d+\/\d+|\d+\/\d+|\d{1,3}(?: \d{3})+(?:[.,]\d+)?|[\d.,]*\d[.,]?)\s*([^\d\s.,-][^\d]*?(?:(?<=\/[a-z]+)[23])?)?\s*(?=$|-?\s*\d)/y;

/** How a felter writes figures. */
export interface Written {
  readonly units: UnitSystem;
  readonly decimal: DecimalMark;
}

/** No figure is written longer than this. */
const LONGEST = 40;

interface Part {
  readonly figure: string;
  readonly unit: string;
}

const partsOf = (text: string): readonly Part[] | null => {
  const parts: Part[] = [];
  PART.lastIndex = 0;
  while (PART.lastIndex < text.length) {
    const found = PART.exec(text);
    if (!found) return null;
    parts.push({ figure: found[1] ?? '', unit: (found[2] ?? '').trim() });
  }
  return parts;
};

/**
 * Reads a figure with or without a unit, in either system, as people write it: `12 in`, `30.5`, `1,8`, `1¾ oz`, `5'-2"`, `1 lb 4 oz`.
 * @param as the units of a bare number, and the number format in use where tenths may have a comma (`parseNumber`)
 * @returns mm, g, g/m², g/cm³, a share or a count; null when it cannot be read
 */
export const parseQuantity = (
  text: string,
  dimension: Dimension,
  as: UnitSystem | Written,
): number | null => {
  const { units, decimal } = typeof as === 'string' ? { units: as, decimal: '.' as const } : as;
  if (text.length > LONGEST) return null;
  const plain = plainMarks(text);
  const sign = /^[+-]/.exec(plain)?.[0] ?? '';
  const parts = partsOf(plain.slice(sign.length).trim());
  if (!parts || parts.length === 0) return null;
  let [total, least] = [0, Number.POSITIVE_INFINITY];
  for (const [i, { figure, unit }] of parts.entries()) {
    const before = parts[i - 1];
    // Five feet two: what follows feet is inches.
    const isInches = unit === '' && before && sizeOf(dimension, before.unit) === FEET;
    const size = sizeOf(
      dimension,
      isInches ? 'in' : unit === '' && i === 0 ? homeUnit(dimension, units) : unit,
    );
    const value = parseNumber(figure, decimal);
    // Parts of one measure go from large to small: 1 lb 4 oz.
    if (value === null || size === null || size >= least) return null;
    if (i > 0 && dimension !== 'length' && dimension !== 'mass') return null;
    total += value * size;
    least = size;
  }
  return sign === '-' ? -total : total;
};

/** The two figures that a text may be, when the number format leaves it open; null where it is at most one. */
export const openFigures = (text: string, decimal: DecimalMark): readonly [string, string] | null =>
  openReadings(/^[\d.,\s]*/.exec(plainNumber(text))?.[0] ?? '', decimal);

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
