import { z } from 'zod';
import { type Act, CUSHIONS, FOAMS, PRESSURES, TESTS, WATERS, WETNESSES } from '../core/log/entry';
import { Id, IsoTime, NotNegative, Reading } from './common';
import type { Migration, RecordSpec } from './migrate';

const Face = z.number().int().min(1).max(20);
const Count = z.number().int().min(1).max(1_000_000);

const Give = z.number().min(0).max(1_000_000).exactOptional();
const Coordinate = z.number().min(-1e5).max(1e5);

export const ActSchema: z.ZodType<Act> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('wet'), face: Face, water: z.enum(['warm', 'hot']) }),
  z.object({ kind: z.literal('rub'), face: Face, count: Count, give: Give }),
  z.object({
    kind: z.literal('roll'),
    face: Face,
    directionDeg: z.literal([0, 45, 90, 135]),
    rolls: Count,
    give: Give,
    cushion: z.enum(CUSHIONS),
    pressure: z.enum(PRESSURES),
  }),
  z.object({ kind: z.literal('throw'), count: Count }),
  z.object({ kind: z.literal('shock'), rounds: Count }),
  z.object({ kind: z.literal('measure'), readings: z.record(z.string().max(16), Reading) }),
  z.object({ kind: z.literal('water'), water: z.enum(WATERS) }),
  z.object({
    kind: z.literal('look'),
    wetness: z.enum(WETNESSES).nullable(),
    foam: z.enum(FOAMS).nullable(),
  }),
  z.object({ kind: z.literal('test'), test: z.enum(TESTS), grade: z.number().int().min(0).max(9) }),
  z.object({ kind: z.literal('thickness'), thicknessMm: z.number().positive().max(1000), grams: Reading }),
  z.object({ kind: z.literal('open'), what: z.enum(['cut', 'resist-out']) }),
  z.object({
    kind: z.literal('fault'),
    fault: z.string().min(1).max(40),
    at: z.object({ x: Coordinate, y: Coordinate }).nullable(),
  }),
  z.object({
    kind: z.literal('step'),
    step: z.string().min(1).max(40),
    how: z.enum(['done', 'skipped', 'started']),
  }),
  z.object({ kind: z.literal('mended'), of: Id }),
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

/** The version of an entry that this program writes. */
export const ENTRY_VERSION = 3;

const EntrySchema = z.object({
  kind: z.literal('entry'),
  version: z.literal(ENTRY_VERSION),
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
  { version: 3, name: 'AddLooksTestsAndFaults', up: old => old },
];
export const entrySpec: RecordSpec<Entry> = {
  kind: 'entry',
  schema: EntrySchema,
  migrations: ENTRY_MIGRATIONS,
};
