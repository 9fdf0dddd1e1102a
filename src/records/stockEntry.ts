import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { STOCK_MOVES, type LedgerEntry } from '../core/stock/ledger';
import { count, fresh, Id, IsoTime, kept } from './common';
import { defineKind } from './kind';

const StockEntrySchema = z.object({
  kind: z.literal('stockEntry'),
  version: z.literal(1),
  ...kept,
  productId: Id,
  at: IsoTime,
  move: z.enum([...STOCK_MOVES, 'undo']),
  count: count(LIMITS.stock),
  paid: count(LIMITS.minor).nullable(),
  orderId: Id.nullable(),
  /** The piece that was finished, where it was made of one. */
  pieceId: Id.nullable(),
  /** For an undo: the entry that it takes back. */
  of: Id.nullable(),
  note: z.string().max(500),
});

/** One line of the ledger. Appended, never changed: another line takes it back. */
export type StockEntry = z.infer<typeof StockEntrySchema>;

export const stockEntryKind = defineKind<StockEntry>({
  kind: 'stockEntry',
  table: 'stock',
  since: 6,
  isAlone: true,
  schema: StockEntrySchema,
  migrations: [],
  nameOf: entry => `${entry.move} ${entry.count}`,
  partOf: ({ productId }) => ({ kind: 'product', id: productId, path: 'productId' }),
});

export const newStockEntry = (
  of: Pick<LedgerEntry, 'id' | 'productId' | 'at' | 'move' | 'count'> &
    Partial<Pick<StockEntry, 'paid' | 'orderId' | 'pieceId' | 'of' | 'note'>>,
): StockEntry => ({
  kind: 'stockEntry',
  version: 1,
  ...fresh(of.id, of.at),
  paid: null,
  orderId: null,
  pieceId: null,
  note: '',
  ...of,
  of: of.of ?? null,
});
