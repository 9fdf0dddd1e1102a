import type { StockMove } from '../core/stock/ledger';
import { dozensOf } from '../core/stock/ledger';

/** What happens to stock: on a button, and in the ledger. */
export const MOVE_WORDS: Readonly<Record<StockMove, { readonly act: string; readonly was: string }>> = {
  made: { act: 'Made', was: 'made' },
  sold: { act: 'Sold', was: 'sold' },
  given: { act: 'Given', was: 'given away' },
  spoilt: { act: 'Spoilt', was: 'spoilt' },
  counted: { act: 'Counted', was: 'counted' },
};

/** A count as dozens and singles, where it is so told. @example countWords(40, true) // 3 dozen and 4 */
export const countWords = (count: number, inDozens: boolean): string => {
  if (!inDozens || count < 12) return String(count);
  const { dozens, singles } = dozensOf(count);
  return singles === 0 ? `${dozens} dozen` : `${dozens} dozen and ${singles}`;
};
