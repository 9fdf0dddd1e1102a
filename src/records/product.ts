import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { count, fresh, Id, kept } from './common';
import { defineKind } from './kind';

const Minor = count(LIMITS.minor);

const ProductSchema = z.object({
  kind: z.literal('product'),
  version: z.literal(1),
  ...kept,
  name: z.string().min(1).max(200),
  notes: z.string().max(20_000),
  /** The piece that one is made like, or the project that one is put together like; both null where neither is said. */
  pieceId: Id.nullable(),
  projectId: Id.nullable(),
  /** What one is sold for, in the smallest unit of the maker's currency; null where it has no price. */
  price: Minor.nullable(),
  /** What a dozen is sold for; null for twelve times the price of one. */
  dozenPrice: Minor.nullable(),
});

/** Something that is made again and again, and sold: what one is, and its price. */
export type Product = z.infer<typeof ProductSchema>;

export const productKind = defineKind<Product>({
  kind: 'product',
  table: 'products',
  since: 6,
  schema: ProductSchema,
  migrations: [],
  nameOf: product => product.name,
  refersTo: ({ pieceId, projectId }) => [
    ...(pieceId === null ? [] : [{ kind: 'piece', id: pieceId, path: 'pieceId' }]),
    ...(projectId === null ? [] : [{ kind: 'project', id: projectId, path: 'projectId' }]),
  ],
});

export const newProduct = (of: {
  readonly id: string;
  readonly name: string;
  readonly now: string;
  readonly pieceId?: string | null;
  readonly projectId?: string | null;
}): Product => ({
  kind: 'product',
  version: 1,
  ...fresh(of.id, of.now),
  name: of.name,
  notes: '',
  pieceId: of.pieceId ?? null,
  projectId: of.projectId ?? null,
  price: null,
  dozenPrice: null,
});
