import type { Piece } from '../records/piece';
import type { Product } from '../records/product';
import type { WorkshopBook } from './openWork';

/** A piece that is finished and stands in no ledger yet, and the product that it is. */
export interface Unstocked {
  readonly piece: Piece;
  readonly product: Product;
}

/** Finished pieces that were made for a line of an order, or again like a product's own, and are not in stock. */
export const unstocked = ({
  pieces,
  products,
  orders,
  stock,
}: Pick<WorkshopBook, 'pieces' | 'products' | 'orders' | 'stock'>): readonly Unstocked[] => {
  const inStock = new Set([...stock.values()].flatMap(s => s.lines.flatMap(l => l.entry.pieceId ?? [])));
  const ofLine = new Map(
    orders.flatMap(o =>
      o.lines.flatMap(l => (l.pieceId === null ? [] : [[l.pieceId, l.productId] as const])),
    ),
  );
  return pieces.flatMap(piece => {
    if (piece.deletedAt !== null || piece.result.finishedAt === null || inStock.has(piece.id)) return [];
    const product = products.find(
      p => p.id === ofLine.get(piece.id) || (p.pieceId !== null && p.pieceId === piece.after),
    );
    return product ? [{ piece, product }] : [];
  });
};
