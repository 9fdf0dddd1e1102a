import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { figure, fresh, Id, IsoTime, kept } from './common';
import { defineKind } from './kind';

const ClassSchema = z.object({
  kind: z.literal('class'),
  version: z.literal(1),
  ...kept,
  name: z.string().min(1).max(200),
  notes: z.string().max(20_000),
  /** The day it is held on, as 2026-12-24, and the time it begins at, as 14:00; null where it is not set. */
  day: z.iso.date().nullable(),
  startsAt: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .nullable(),
  /** The piece that everybody makes. */
  pieceId: Id.nullable(),
  people: z.number().int().min(1).max(500),
  /** Kits beyond the people; null as is usual. */
  spares: z.number().int().min(0).max(500).nullable(),
  areChildren: z.boolean(),
  /** How much longer beginners take than the maker does. */
  slower: z.number().min(0.5).max(10),
  /** Minutes that the teacher shows and talks before each stage. */
  pauseMin: z.number().int().min(0).max(120),
  /** Parts of each kit. */
  parts: z
    .array(z.object({ id: Id, partId: Id.nullable(), count: z.number().min(0.001).max(100_000) }))
    .max(50),
  /** When the kits were packed: their wool and parts are off the shelf from then on. */
  packedAt: IsoTime.nullable(),
  /** What came back unused: whole kits, and when. */
  back: z.object({ kits: z.number().int().min(0).max(1000), at: IsoTime }).nullable(),
  /** Grams of each wool in one kit as it was packed; empty before. */
  packed: z.array(z.object({ woolId: Id, grams: figure(LIMITS.grams) })).max(100),
  /** How many kits were packed. */
  packedKits: z.number().int().min(0).max(1000),
});

/** A class: who comes, what they make, what is packed for them and what came back. */
export type FeltClass = z.infer<typeof ClassSchema>;

export const classKind = defineKind<FeltClass>({
  kind: 'class',
  table: 'classes',
  since: 6,
  schema: ClassSchema,
  migrations: [],
  nameOf: held => held.name,
  refersTo: ({ pieceId, parts, packed }) => [
    ...(pieceId === null ? [] : [{ kind: 'piece', id: pieceId, path: 'pieceId' }]),
    ...parts.flatMap(({ partId }, i) =>
      partId === null ? [] : [{ kind: 'part', id: partId, path: `parts[${i}].partId` }],
    ),
    ...packed.map(({ woolId }, i) => ({ kind: 'wool', id: woolId, path: `packed[${i}].woolId` })),
  ],
});

export const newClass = (of: {
  readonly id: string;
  readonly name: string;
  readonly now: string;
  readonly pieceId?: string | null;
}): FeltClass => ({
  kind: 'class',
  version: 1,
  ...fresh(of.id, of.now),
  name: of.name,
  notes: '',
  day: null,
  startsAt: null,
  pieceId: of.pieceId ?? null,
  people: 8,
  spares: null,
  areChildren: false,
  slower: 2,
  pauseMin: 10,
  parts: [],
  packedAt: null,
  back: null,
  packed: [],
  packedKits: 0,
});
