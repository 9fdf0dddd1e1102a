/** An exact decimal: `digits` ÷ 10^`places`. */
interface Decimal {
  readonly digits: bigint;
  readonly places: number;
}

const TEN = 10n;

/**
 * A figure as it was typed: the shortest decimal that is this number, exactly.
 * @param value finite  @throws RangeError for what is no finite number
 */
const decimalOf = (value: number): Decimal => {
  if (!Number.isFinite(value)) throw new RangeError('not a finite number');
  const [mantissa = '0', exponent = '0'] = String(value).split('e');
  const [whole = '0', fraction = ''] = mantissa.split('.');
  const places = fraction.length - Number(exponent);
  const digits = BigInt(whole + fraction);
  return places >= 0 ? { digits, places } : { digits: digits * TEN ** BigInt(-places), places: 0 };
};

/** Half away from zero, as shops round. @param divisor > 0 */
const roundedQuotient = (dividend: bigint, divisor: bigint): bigint => {
  const half = divisor / 2n;
  return dividend >= 0n ? (dividend + half) / divisor : -((-dividend + half) / divisor);
};

/** Money: a whole number of the smallest unit of a currency, cents as a rule. */
export type Minor = number;

/** Beyond this no whole number is exact. */
const safe = (value: bigint): Minor => {
  if (value > BigInt(Number.MAX_SAFE_INTEGER) || value < -BigInt(Number.MAX_SAFE_INTEGER))
    throw new RangeError('more money than can be counted exactly');
  return Number(value);
};

/**
 * What so much of something costs, in the smallest unit, rounded once, half up.
 * @param of.price for `per` of it, in whole units of the currency, as typed  @param of.amount how much, ≥ 0
 * @param of.places decimals of the currency: 2 for cents, 0, or 3
 * @throws RangeError for what is no finite number, or too much to be exact
 * @example costOfAmount({ price: 3.2, per: 100, amount: 42, places: 2 }) // 134: 1.344 rounded
 */
export const costOfAmount = (of: {
  readonly price: number;
  readonly per: number;
  readonly amount: number;
  readonly places: number;
}): Minor => {
  const price = decimalOf(of.price);
  const amount = decimalOf(of.amount);
  const per = decimalOf(of.per);
  const dividend = price.digits * amount.digits * TEN ** BigInt(per.places + of.places);
  const divisor = per.digits * TEN ** BigInt(price.places + amount.places);
  return safe(roundedQuotient(dividend, divisor));
};

/** A sum as typed, in the smallest unit. @example minorOf(4.5, 2) // 450 */
export const minorOf = (value: number, places: number): Minor =>
  costOfAmount({ price: value, per: 1, amount: 1, places });

/** The same sum in whole units, for showing only. @example unitsOf(450, 2) // 4.5 */
export const unitsOf = (minor: Minor, places: number): number => minor / 10 ** places;

/**
 * Money × numerator ÷ denominator, rounded once, half up.
 * @param numerator whole  @param denominator whole, > 0
 */
export const shareOf = (minor: Minor, numerator: number, denominator: number): Minor =>
  safe(roundedQuotient(BigInt(minor) * BigInt(numerator), BigInt(denominator)));

/** As `shareOf`, never less than the exact share. */
export const shareUp = (minor: Minor, numerator: number, denominator: number): Minor => {
  const product = BigInt(minor) * BigInt(numerator);
  const divisor = BigInt(denominator);
  const floor = product / divisor;
  return safe(product > 0n && floor * divisor !== product ? floor + 1n : floor);
};

/**
 * A sum divided by weights, to the smallest unit: the parts sum to it exactly. What is left over goes to the largest remainders.
 * @param weights whole, ≥ 0, not all 0; each part is within one unit of its share
 */
export const dividedMoney = (minor: Minor, weights: readonly number[]): readonly Minor[] => {
  const all = weights.reduce((a, b) => a + b, 0);
  if (!(all > 0)) return weights.map(() => 0);
  const exact = weights.map(w => BigInt(minor) * BigInt(w));
  const floors = exact.map(e => e / BigInt(all));
  let left = minor - floors.reduce((sum, f) => sum + Number(f), 0);
  const step = Math.sign(left);
  const order = exact
    .map((e, i) => ({ i, rest: Math.abs(Number(e % BigInt(all))) }))
    .toSorted((a, b) => b.rest - a.rest || a.i - b.i);
  const parts = floors.map(safe);
  for (const { i } of order) {
    if (left === 0) break;
    parts[i] = (parts[i] ?? 0) + step;
    left -= step;
  }
  return parts;
};
