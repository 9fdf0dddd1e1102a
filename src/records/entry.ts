import { z } from 'zod';
import { ActSchema } from '../core/acts/act';
import { LIMITS } from '../core/limits';
import { count, Id, IsoTime } from './common';
import type { Migration, RecordSpec } from './migrate';
import { withinLimits } from './withinLimits';

/** The version of an entry that this program writes. */
export const ENTRY_VERSION = 4;

const EntrySchema = z.object({
  kind: z.literal('entry'),
  version: z.literal(ENTRY_VERSION),
  id: Id,
  pieceId: Id,
  /** Place in the log of its piece, from 1. */
  seq: count(LIMITS.seq),
  at: IsoTime,
  act: ActSchema,
});

/** One entry of a piece's log. Appended, never changed. */
export type Entry = z.infer<typeof EntrySchema>;

export const ENTRY_MIGRATIONS: readonly Migration[] = [
  // Nothing of an old entry changes; an older program must not take a weighing or a laying for damage.
  { version: 2, name: 'AddWeighingAndLaying', up: old => old },
  { version: 3, name: 'AddLooksTestsAndFaults', up: old => old },
  {
    version: 4,
    name: 'KeepWithinLimits',
    up: old =>
      withinLimits(old, {
        seq: LIMITS.olderCount,
        'act.readings.*': LIMITS.readingMm,
        'act.thicknessMm': LIMITS.thicknessMm,
        'act.grams': LIMITS.grams,
        'act.plannedG': LIMITS.grams,
        'act.tareG': LIMITS.grams,
      }),
  },
];

/** Table of the log in the store, and its list in a file. */
export const LOG_TABLE = 'entries';
export const entrySpec: RecordSpec<Entry> = {
  kind: 'entry',
  schema: EntrySchema,
  migrations: ENTRY_MIGRATIONS,
};
