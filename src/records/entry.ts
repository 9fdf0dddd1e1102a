import { z } from 'zod';
import { type Act, CUSHIONS, PRESSURES } from '../core/cycles/entry';
import { Id, IsoTime, NotNegative, Reading } from './common';
import type { Migration, RecordSpec } from './migrate';

const Face = z.number().int().min(1).max(20);
const Count = z.number().int().min(1).max(1_000_000);

const ActSchema: z.ZodType<Act> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('wet'), face: Face, water: z.enum(['warm', 'hot']) }),
  z.object({ kind: z.literal('rub'), face: Face, count: Count }),
  z.object({
    kind: z.literal('roll'),
    face: Face,
    directionDeg: z.literal([0, 45, 90, 135]),
    rolls: Count,
    cushion: z.enum(CUSHIONS),
    pressure: z.enum(PRESSURES),
  }),
  z.object({ kind: z.literal('throw'), count: Count }),
  z.object({ kind: z.literal('shock'), rounds: Count }),
  z.object({ kind: z.literal('measure'), readings: z.record(z.string().max(16), Reading) }),
  z.object({ kind: z.literal('pinch'), grade: z.literal([0, 1, 2, 3]) }),
  z.object({ kind: z.literal('note'), text: z.string().min(1).max(2000) }),
  z.object({
    kind: z.literal('weigh'),
    pile: z.string().min(1).max(40),
    woolId: Id.nullable(),
    grams: NotNegative,
    plannedG: NotNegative,
    tareG: NotNegative,
  }),
  z.object({ kind: z.literal('lay'), step: z.string().min(1).max(40), how: z.enum(['done', 'skipped']) }),
  z.object({ kind: z.literal('undo'), of: Id }),
]);

const EntrySchema = z.object({
  kind: z.literal('entry'),
  version: z.literal(2),
  id: Id,
  pieceId: Id,
  /** Place in the log of its piece, from 1. */
  seq: z.number().int().min(1),
  at: IsoTime,
  act: ActSchema,
});

/** One entry of a piece's log. Appended, never changed. */
export type Entry = z.infer<typeof EntrySchema>;

export const ENTRY_MIGRATIONS: readonly Migration[] = [
  // Nothing of an old entry changes; an older program must not take a weighing or a laying for damage.
  { version: 2, name: 'AddWeighingAndLaying', up: old => old },
];
export const entrySpec: RecordSpec<Entry> = {
  kind: 'entry',
  schema: EntrySchema,
  migrations: ENTRY_MIGRATIONS,
};
