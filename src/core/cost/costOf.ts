import { costOfAmount, type Minor, shareOf, shareUp } from '../money/exact';
import { DOZEN } from '../stock/ledger';

/** What goes into a making and is paid for by how much of it there is. */
export interface CostItem {
  readonly is: 'wool' | 'part';
  readonly id: string;
  /** g of a wool; pieces, m or ml of a part. ≥ 0. */
  readonly amount: number;
  /** In whole units of the currency, for `per` of it, as typed; null where nobody said. */
  readonly price: number | null;
  /** 100 for wool by 100 g, 1 for a part. */
  readonly per: number;
}

/** What the maker counts beside wool and parts. */
export interface CostRates {
  /** Decimals of the currency. */
  readonly places: number;
  /** An hour of hands, smallest unit; null where it is not counted. */
  readonly hourMinor: Minor | null;
  /** Soap and water of a sitting, smallest unit; null where it is not counted. */
  readonly sittingMinor: Minor | null;
  /** Room, tools and the like on top, hundredths of a per cent of all else: whole, ≥ 0. */
  readonly overheadBp: number;
}

export interface CostLine {
  readonly is: CostItem['is'] | 'soap' | 'hands' | 'overhead';
  readonly id: string | null;
  readonly amount: number;
  /** Null where it has no price: the sum is without it. */
  readonly minor: Minor | null;
}

export interface Cost {
  readonly lines: readonly CostLine[];
  /** The lines with a price, summed: exactly. */
  readonly total: Minor;
  /** Lines without a price. */
  readonly open: number;
}

const BP = 10_000;

/**
 * What a making costs: wool and parts by how much there is of each, soap by the sitting, hands by the minute, overhead on top.
 * Each line is rounded once, half up; the total is the sum of the lines.
 * @param of.handsMin minutes of hands, ≥ 0, whole  @param of.sittings ≥ 0, whole
 */
export const costOf = (
  items: readonly CostItem[],
  of: { readonly handsMin: number; readonly sittings: number },
  rates: CostRates,
): Cost => {
  const { places, hourMinor, sittingMinor, overheadBp } = rates;
  const bought = items.map(({ is, id, amount, price, per }): CostLine => ({
    is,
    id,
    amount,
    minor: price === null ? null : costOfAmount({ price, per, amount, places }),
  }));
  const lines: CostLine[] = [
    ...bought,
    ...(sittingMinor === null
      ? []
      : [{ is: 'soap' as const, id: null, amount: of.sittings, minor: sittingMinor * of.sittings }]),
    {
      is: 'hands',
      id: null,
      amount: of.handsMin,
      minor: hourMinor === null ? null : shareOf(hourMinor, of.handsMin, 60),
    },
  ];
  const sum = lines.reduce((all, l) => all + (l.minor ?? 0), 0);
  if (overheadBp > 0)
    lines.push({ is: 'overhead', id: null, amount: overheadBp, minor: shareOf(sum, overheadBp, BP) });
  return {
    lines,
    total: lines.reduce((all, l) => all + (l.minor ?? 0), 0),
    open: lines.filter(l => l.minor === null).length,
  };
};

/** What one costs, and a dozen: each rounded from the whole, half up. @param pieces ≥ 1, whole */
export const perPiece = (total: Minor, pieces: number): { readonly each: Minor; readonly dozen: Minor } => ({
  each: shareOf(total, 1, pieces),
  dozen: shareOf(total, DOZEN, pieces),
});

/**
 * The least price that leaves the wanted margin after the selling fee, both as shares of the price: p = c ÷ (1 − margin − fee), rounded up.
 * Null where margin and fee together leave nothing for the cost.
 * @param of.marginBp, of.feeBp hundredths of a per cent, whole, ≥ 0
 * @example priceFor(600, { marginBp: 3000, feeBp: 1000 }) // 1000
 */
export const priceFor = (
  cost: Minor,
  of: { readonly marginBp: number; readonly feeBp: number },
): Minor | null => {
  const left = BP - of.marginBp - of.feeBp;
  return left > 0 ? shareUp(cost, BP, left) : null;
};

/** What a price leaves after fee and cost, and which share of it that is; 0 for a price of 0. */
export const leftOf = (
  price: Minor,
  cost: Minor,
  feeBp: number,
): { readonly minor: Minor; readonly bp: number } => {
  const minor = price - shareOf(price, feeBp, BP) - cost;
  return { minor, bp: price > 0 ? Math.round((BP * minor) / price) : 0 };
};
