import { z } from 'zod';
import { PART_SORTS, PART_UNITS, PART_USUAL, type PartSort } from '../core/project/partSorts';
import { LIMITS } from '../core/limits';
import { figure, fresh, IsoTime, kept } from './common';
import { defineKind } from './kind';

const Amount = z.number().min(0).max(1e7);

const PartSchema = z.object({
  kind: z.literal('part'),
  version: z.literal(1),
  ...kept,
  sort: z.enum(PART_SORTS),
  name: z.string().min(1).max(200),
  unit: z.enum(PART_UNITS),
  /** How much there was when it was last counted, and when that was; what was put together since is taken off. */
  counted: Amount.nullable(),
  countedAt: IsoTime.nullable(),
  /** What one piece, metre or millilitre costs, in whatever money the maker counts. */
  price: figure(LIMITS.price).nullable(),
  /** Its size: the inside of a cap, the length of a back, how thick a wire is. */
  sizeMm: figure(LIMITS.readingMm).nullable(),
  notes: z.string().max(20_000),
});

/** A part on the shelf: a cap, a clasp, wire, glue. */
export type Part = z.infer<typeof PartSchema>;

export const partKind = defineKind<Part>({
  kind: 'part',
  table: 'parts',
  since: 5,
  schema: PartSchema,
  migrations: [],
  nameOf: part => part.name,
});

export const newPart = (of: {
  readonly id: string;
  readonly name: string;
  readonly sort: PartSort;
  readonly now: string;
}): Part => ({
  kind: 'part',
  version: 1,
  ...fresh(of.id, of.now),
  sort: of.sort,
  name: of.name,
  unit: PART_USUAL[of.sort].unit,
  counted: null,
  countedAt: null,
  price: null,
  sizeMm: null,
  notes: '',
});
