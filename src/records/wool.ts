import { z } from 'zod';
import { IsoTime, kept, NotNegative, Reading } from './common';
import type { Migration, RecordSpec } from './migrate';

/** What lies on the shelf: wool that felts, cloth that it is laid on, and what decorates it. */
export const SORTS = ['wool', 'cloth', 'decoration'] as const;
export const WOOL_FORMS = ['tops', 'batt', 'fleece', 'prefelt'] as const;

const WoolSchema = z.object({
  kind: z.literal('wool'),
  version: z.literal(2),
  ...kept,
  sort: z.enum(SORTS),
  name: z.string().min(1).max(200),
  /** In the felter's own words; a breed that is known is read from them. */
  fibre: z.string().max(200),
  form: z.enum(WOOL_FORMS),
  /** As seen, sRGB. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  /** Fineness, micrometres. */
  micron: Reading,
  /** What 100 g cost, in whatever money the felter counts. */
  per100g: NotNegative.nullable(),
  /** Grams when it was last counted, and when that was. What was weighed since is in the logs. */
  gramsCounted: NotNegative.nullable(),
  countedAt: IsoTime.nullable(),
  /** Grams of one metre of its rope, for those without a scale. */
  ropeGPerM: Reading,
  notes: z.string().max(20_000),
});

/** A wool on the shelf. What it has done is read from the pieces made of it. */
export type Wool = z.infer<typeof WoolSchema>;

/** What a row of a shelf's table says of a wool. */
export type WoolRow = Pick<
  Wool,
  | 'sort'
  | 'name'
  | 'fibre'
  | 'micron'
  | 'form'
  | 'colour'
  | 'gramsCounted'
  | 'per100g'
  | 'ropeGPerM'
  | 'notes'
>;

/** Until version 2 there was only wool, and what was left of it stood alone. */
const addSortCountAndPrice = (old: Record<string, unknown>): Record<string, unknown> => {
  const { gramsLeft, ...rest } = old;
  return {
    ...rest,
    sort: 'wool',
    micron: null,
    per100g: null,
    gramsCounted: gramsLeft,
    countedAt: gramsLeft === null ? null : old['updatedAt'],
    ropeGPerM: null,
  };
};

export const WOOL_MIGRATIONS: readonly Migration[] = [
  { version: 2, name: 'AddSortCountAndPrice', up: addSortCountAndPrice },
];
export const woolSpec: RecordSpec<Wool> = { kind: 'wool', schema: WoolSchema, migrations: WOOL_MIGRATIONS };

/** A new wool. Time and name are passed in. */
export const newWool = (
  of: Pick<Wool, 'id' | 'name' | 'fibre' | 'form' | 'colour'> & { readonly now: string },
): Wool => {
  const { now, ...named } = of;
  return {
    kind: 'wool',
    version: 2,
    createdAt: now,
    updatedAt: now,
    revision: 1,
    deletedAt: null,
    sample: false,
    sort: 'wool',
    micron: null,
    per100g: null,
    gramsCounted: null,
    countedAt: null,
    ropeGPerM: null,
    notes: '',
    ...named,
  };
};
