import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { count, fresh, Id, IsoTime, kept } from './common';
import { defineKind } from './kind';

/** What a promise is: somebody's order, a fair to have things for, or a day of one's own, such as a birthday. */
export const ORDER_SORTS = ['order', 'fair', 'gift'] as const;
export type OrderSort = (typeof ORDER_SORTS)[number];

const OrderSchema = z.object({
  kind: z.literal('order'),
  version: z.literal(1),
  ...kept,
  sort: z.enum(ORDER_SORTS),
  name: z.string().min(1).max(200),
  notes: z.string().max(20_000),
  /** The day it is wanted on, as 2026-12-24; null for none. */
  due: z.iso.date().nullable(),
  /** What is promised: so many of a product, or a piece of the table itself. */
  lines: z
    .array(
      z.object({
        id: Id,
        productId: Id.nullable(),
        /** The piece that is promised itself, or that is made for this line; null while none is on the table. */
        pieceId: Id.nullable(),
        /** Single ones. */
        count: z.number().int().min(1).max(LIMITS.stock.most),
        /** True where it is told in dozens. */
        inDozens: z.boolean(),
        /** What one is sold for here, smallest unit; null for the product's own price. */
        price: count(LIMITS.minor).nullable(),
      }),
    )
    .max(200),
  /** When it was handed over or is past; null while it is open. */
  doneAt: IsoTime.nullable(),
});

/** A promise: what, how many, till when. */
export type Order = z.infer<typeof OrderSchema>;
export type OrderLine = Order['lines'][number];

export const orderKind = defineKind<Order>({
  kind: 'order',
  table: 'orders',
  since: 6,
  schema: OrderSchema,
  migrations: [],
  nameOf: order => order.name,
  refersTo: ({ lines }) =>
    lines.flatMap(({ productId, pieceId }, i) => [
      ...(productId === null ? [] : [{ kind: 'product', id: productId, path: `lines[${i}].productId` }]),
      ...(pieceId === null ? [] : [{ kind: 'piece', id: pieceId, path: `lines[${i}].pieceId` }]),
    ]),
});

export const newOrder = (of: {
  readonly id: string;
  readonly name: string;
  readonly sort: OrderSort;
  readonly now: string;
  readonly lines?: readonly OrderLine[];
}): Order => ({
  kind: 'order',
  version: 1,
  ...fresh(of.id, of.now),
  sort: of.sort,
  name: of.name,
  notes: '',
  due: null,
  lines: [...(of.lines ?? [])],
  doneAt: null,
});

/** A line of an order for so many of a product, or for a piece itself. */
export const newLine = (
  of: Pick<OrderLine, 'id'> & Partial<Pick<OrderLine, 'productId' | 'pieceId' | 'count' | 'inDozens'>>,
): OrderLine => ({ productId: null, pieceId: null, count: 1, inDozens: false, price: null, ...of });
