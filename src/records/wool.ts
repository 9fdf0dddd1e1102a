import { z } from 'zod';
import { kept, NotNegative } from './common';
import type { Migration, RecordSpec } from './migrate';

export const WOOL_FORMS = ['tops', 'batt', 'fleece', 'prefelt'] as const;

const WoolSchema = z.object({
  kind: z.literal('wool'),
  version: z.literal(1),
  ...kept,
  name: z.string().min(1).max(200),
  fibre: z.string().max(200),
  form: z.enum(WOOL_FORMS),
  /** As seen, sRGB. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  gramsLeft: NotNegative.nullable(),
  notes: z.string().max(20_000),
});

/** A wool on the shelf. What it has done is read from the pieces made of it. */
export type Wool = z.infer<typeof WoolSchema>;

export const WOOL_MIGRATIONS: readonly Migration[] = [];
export const woolSpec: RecordSpec<Wool> = { kind: 'wool', schema: WoolSchema, migrations: WOOL_MIGRATIONS };

/** A new wool. Time and name are passed in. */
export const newWool = (
  of: Pick<Wool, 'id' | 'name' | 'fibre' | 'form' | 'colour'> & { readonly now: string },
): Wool => {
  const { now, ...named } = of;
  return {
    kind: 'wool',
    version: 1,
    createdAt: now,
    updatedAt: now,
    revision: 1,
    deletedAt: null,
    sample: false,
    gramsLeft: null,
    notes: '',
    ...named,
  };
};
