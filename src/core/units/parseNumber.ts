/**
 * Reads a number as people write it: `30.5`, `1,8`, `1 3/4`, `3/8`, `1 250`. Null when it is not one.
 * A single comma is a decimal mark; with a point later it separates thousands.
 */
export const parseNumber = (text: string): number | null => {
  const t = text.trim().replaceAll(/[\u00a0\u202f]/g, ' ');
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(t);
  if (fraction) {
    const [, whole, top, bottom] = fraction;
    return Number(bottom) > 0 ? Number(whole ?? 0) + Number(top) / Number(bottom) : null;
  }
  const grouped = /^[+-]?\d{1,3}( \d{3})+([.,]\d+)?$/.test(t) ? t.replaceAll(' ', '') : t;
  const plain = /^[+-]?\d{1,3}(,\d{3})+\.\d+$/.test(grouped)
    ? grouped.replaceAll(',', '')
    : grouped.replace(',', '.');
  if (!/^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(plain)) return null;
  return Number(plain);
};
