/** The mark before the tenths, as the felter's browser writes numbers. */
export type DecimalMark = '.' | ',';

/** Fractions that have a character of their own. */
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const GROUPED_BY_COMMA = /^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/;
const GROUPED_BY_POINT = /^[+-]?\d{1,3}(\.\d{3})+(,\d+)?$/;
const GROUPED_BY_SPACE = /^[+-]?\d{1,3}( \d{3})+([.,]\d+)?$/;

/** The same text with plain spaces, and fractions written out: `1½` is `1 1/2`. */
export const plainNumber = (text: string): string =>
  text
    .replaceAll(/[\u00a0\u202f\u2009]/g, ' ')
    .replaceAll('\u2044', '/')
    .replaceAll(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, f => ` ${VULGAR[f] ?? f}`)
    .replaceAll(/ {2,}/g, ' ')
    .trim();

/**
 * Reads a number as people write it: `30.5`, `1,8`, `1 3/4`, `1½`, `3/8`, `1 250`. Null when it is not one, or may be either of two.
 * Where one mark alone parts off three digits, the number format in use decides: `1,250` is 1250 where tenths have a point, and 1.25
 * where they have a comma. `1.250` is open where tenths have a comma, for figures are shown with a point.
 * @param decimal the mark before the tenths in the number format in use
 */
export const parseNumber = (text: string, decimal: DecimalMark = '.'): number | null => {
  const t = plainNumber(text);
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(t);
  if (fraction) {
    const [, whole, top, bottom] = fraction;
    return Number(bottom) > 0 ? Number(whole ?? 0) + Number(top) / Number(bottom) : null;
  }
  if (openReadings(t, decimal)) return null;
  const whole = GROUPED_BY_SPACE.test(t) ? t.replaceAll(' ', '') : t;
  const isGrouped = GROUPED_BY_COMMA.test(whole) && (decimal === '.' || whole.includes('.'));
  const plain = isGrouped
    ? whole.replaceAll(',', '')
    : GROUPED_BY_POINT.test(whole) && (whole.includes(',') || /\..*\./.test(whole))
      ? whole.replaceAll('.', '').replace(',', '.')
      : whole.replace(',', '.');
  if (!/^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(plain)) return null;
  return Number(plain);
};

/** The two numbers that a text may be; null where it is at most one. */
export const openReadings = (text: string, decimal: DecimalMark): readonly [string, string] | null => {
  const t = plainNumber(text);
  if (decimal === '.' || !/^\d{1,3}\.\d{3}$/.test(t) || t.startsWith('0')) return null;
  return [t.replace('.', ''), String(Number(t))];
};
