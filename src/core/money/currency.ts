import type { Minor } from './exact';
import { unitsOf } from './exact';

/** Money of the maker: which, and how its sums are written. */
export interface Currency {
  /** ISO 4217, three letters. */
  readonly code: string;
  /** BCP 47 of the place whose way of writing it is; null as the browser's own. */
  readonly locale: string | null;
}

const formatOf = ({ code, locale }: Currency): Intl.NumberFormat =>
  new Intl.NumberFormat(locale ?? undefined, { style: 'currency', currency: code });

/** Decimals of a currency, as ISO 4217 has them: 0, 2 or 3. */
export const placesOf = (code: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency: code }).resolvedOptions()
    .maximumFractionDigits ?? 2;

/** A sum as the maker's currency is written. @example showMoney(450, { code: 'EUR', locale: 'en-IE' }) // €4.50 */
export const showMoney = (minor: Minor, currency: Currency): string =>
  formatOf(currency).format(unitsOf(minor, placesOf(currency.code)));

/** Currencies that this browser knows. */
export const knownCurrencies = (): readonly string[] => Intl.supportedValuesOf('currency');
