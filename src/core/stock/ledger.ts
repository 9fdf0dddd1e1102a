import type { Minor } from '../money/exact';

/** What happens to what is made. */
export const STOCK_MOVES = ['made', 'sold', 'given', 'spoilt', 'counted'] as const;
export type StockMove = (typeof STOCK_MOVES)[number];

/** One line of a ledger: a fact, never edited. Taken back by another that names it. */
export interface LedgerEntry {
  readonly id: string;
  readonly productId: string;
  /** When it was entered, ISO 8601; lines of one moment are ordered by their names. */
  readonly at: string;
  readonly move: StockMove | 'undo';
  /** Single pieces, whole, ≥ 0. */
  readonly count: number;
  /** What was paid for all of them, in the smallest unit; null where nothing was. */
  readonly paid: Minor | null;
  /** The order it was sold for; null for none. */
  readonly orderId: string | null;
  /** The piece that was finished, where it was made of one. */
  readonly pieceId: string | null;
  /** For an undo: the line it takes back. An undo can be taken back as well. */
  readonly of: string | null;
}

/** A line that stands, and what was on hand after it. */
export interface LedgerLine {
  readonly entry: LedgerEntry;
  /** What it added, or took away. */
  readonly change: number;
  readonly onHand: number;
}

/** Where one product stands. */
export interface StockState {
  /** Below zero where more went than was known to be there: told, and mended by counting. */
  readonly onHand: number;
  readonly made: number;
  readonly sold: number;
  readonly given: number;
  readonly spoilt: number;
  /** What was paid altogether, in the smallest unit. */
  readonly paid: Minor;
  readonly lines: readonly LedgerLine[];
}

const EMPTY: StockState = { onHand: 0, made: 0, sold: 0, given: 0, spoilt: 0, paid: 0, lines: [] };

/** Lines in force, in order: what was taken back is left out. Which undo stands does not hang on the clock. */
const inForce = (entries: readonly LedgerEntry[]): readonly LedgerEntry[] => {
  const undosOf = new Map<string, string[]>();
  for (const e of entries)
    if (e.move === 'undo' && e.of !== null) undosOf.set(e.of, [...(undosOf.get(e.of) ?? []), e.id]);
  const known = new Map<string, boolean>();
  const stands = (id: string): boolean => {
    const was = known.get(id);
    if (was !== undefined) return was;
    // Lines of a damaged file that take each other back in a circle: the one that is asked first stands.
    known.set(id, true);
    const stood = !(undosOf.get(id) ?? []).some(stands);
    known.set(id, stood);
    return stood;
  };
  return entries
    .filter(e => e.move !== 'undo' && stands(e.id))
    .toSorted((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
};

/** What is on hand after a move. Below zero where more goes than is known to be there. */
export const onHandAfter = (onHand: number, move: StockMove, count: number): number => {
  if (move === 'made') return onHand + count;
  return move === 'counted' ? count : onHand - count;
};

const after = (state: StockState, entry: LedgerEntry): StockState => {
  const { move, count } = entry;
  if (move === 'undo') return state;
  const onHand = onHandAfter(state.onHand, move, count);
  return {
    ...state,
    ...(move === 'counted' ? {} : { [move]: state[move] + count }),
    onHand,
    paid: state.paid + (entry.paid ?? 0),
    lines: [...state.lines, { entry, change: onHand - state.onHand, onHand }],
  };
};

/**
 * Where a product stands by its ledger.
 * @param entries of one product, in any order
 */
export const stockOf = (entries: readonly LedgerEntry[]): StockState => inForce(entries).reduce(after, EMPTY);

/** Ledgers by product. */
export const stockByProduct = (entries: readonly LedgerEntry[]): ReadonlyMap<string, StockState> => {
  const groups = new Map<string, LedgerEntry[]>();
  for (const e of entries) {
    const group = groups.get(e.productId);
    if (group) group.push(e);
    else groups.set(e.productId, [e]);
  }
  return new Map([...groups].map(([id, group]) => [id, stockOf(group)]));
};

/** How many of a product were handed over for an order: sold or given. */
export const deliveredOf = (
  states: ReadonlyMap<string, StockState>,
  orderId: string,
  productId: string,
): number =>
  (states.get(productId)?.lines ?? []).reduce(
    (sum, { entry }) =>
      (entry.move === 'sold' || entry.move === 'given') && entry.orderId === orderId
        ? sum + entry.count
        : sum,
    0,
  );

export const DOZEN = 12;
/** A count in dozens and singles. @example dozensOf(40) // { dozens: 3, singles: 4 } */
export const dozensOf = (count: number): { readonly dozens: number; readonly singles: number } => ({
  dozens: Math.trunc(count / DOZEN),
  singles: count % DOZEN,
});

/** What so many are sold for: dozens at the price of a dozen where there is one, the rest singly; null without a price. */
export const soldFor = (
  of: { readonly price: Minor | null; readonly dozenPrice: Minor | null },
  count: number,
): Minor | null => {
  const { price, dozenPrice } = of;
  if (price === null) return null;
  const { dozens, singles } = dozensOf(count);
  return (dozenPrice ?? price * DOZEN) * dozens + price * singles;
};
