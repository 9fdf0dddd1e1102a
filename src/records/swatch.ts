import { z } from 'zod';
import { Id, IsoTime, kept, Positive, Reading } from './common';
import type { Migration, RecordSpec } from './migrate';

const SwatchSchema = z.object({
  kind: z.literal('swatch'),
  version: z.literal(1),
  ...kept,
  woolId: Id,
  /** As laid: both ways in mm, grams in all, layers. */
  laid: z.object({
    along: Positive,
    across: Positive,
    grams: Positive,
    layers: z.number().int().min(1).max(50),
  }),
  /** Felted fully, dry; what was not taken is null. */
  result: z.object({
    along: Reading,
    across: Reading,
    grams: Reading,
    thicknessMm: Reading,
    finishedAt: IsoTime.nullable(),
  }),
  notes: z.string().max(20_000),
});

/** A square of known grams, felted fully and measured again: what a wool does before a piece depends on it. */
export type Swatch = z.infer<typeof SwatchSchema>;

export const SWATCH_MIGRATIONS: readonly Migration[] = [];
export const swatchSpec: RecordSpec<Swatch> = {
  kind: 'swatch',
  schema: SwatchSchema,
  migrations: SWATCH_MIGRATIONS,
};

/** A new swatch of a wool: 20 cm square, 8 g in four layers (common practice). Time and names are passed in. */
export const newSwatch = (of: {
  readonly id: string;
  readonly woolId: string;
  readonly now: string;
}): Swatch => ({
  kind: 'swatch',
  version: 1,
  id: of.id,
  createdAt: of.now,
  updatedAt: of.now,
  revision: 1,
  deletedAt: null,
  sample: false,
  woolId: of.woolId,
  laid: { along: 200, across: 200, grams: 8, layers: 4 },
  result: { along: null, across: null, grams: null, thicknessMm: null, finishedAt: null },
  notes: '',
});
