import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { figure, fresh, IsoTime, kept } from './common';
import { defineKind } from './kind';
import type { Migration } from './migrate';
import { withinLimits } from './withinLimits';

/** What lies on the shelf: wool that felts, cloth that it is laid on, and what decorates it. */
export const SORTS = ['wool', 'cloth', 'decoration'] as const;
export const WOOL_FORMS = ['tops', 'batt', 'fleece', 'prefelt'] as const;

export const WoolSchema = z.object({
  kind: z.literal('wool'),
  version: z.literal(3),
  ...kept,
  sort: z.enum(SORTS),
  name: z.string().min(1).max(200),
  /** In the felter's own words; a breed that is known is read from them. */
  fibre: z.string().max(200),
  form: z.enum(WOOL_FORMS),
  /** As seen, sRGB. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  /** Fineness, micrometres. */
  micron: figure(LIMITS.micron).nullable(),
  /** What Price per 100 g, in whatever money the felter counts. */
  per100g: figure(LIMITS.price).nullable(),
  /** Grams when it was last counted, and when that was. What was weighed since is in the logs. */
  gramsCounted: figure(LIMITS.grams).nullable(),
  countedAt: IsoTime.nullable(),
  /** Grams of one metre of its rope, for those without a scale. */
  ropeGPerM: figure(LIMITS.ropeGPerM).nullable(),
  notes: z.string().max(20_000),
});

/** A wool on the shelf. What it has done is read from the pieces made of it. */
export type Wool = z.infer<typeof WoolSchema>;

/** Fields of a wool that a row of a shelf's table may say something of. */
type RowField =
  | 'sort'
  | 'fibre'
  | 'micron'
  | 'form'
  | 'colour'
  | 'gramsCounted'
  | 'per100g'
  | 'ropeGPerM'
  | 'notes';

/** What a row of a shelf's table says of a wool: its name, and null where it says nothing. */
export type WoolRow = Pick<Wool, 'name'> & { readonly [F in RowField]: Wool[F] | null } & {
  /** What stood in the row and could not be read, in its own words. */
  readonly unread: readonly string[];
};

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
  {
    version: 3,
    name: 'KeepWithinLimits',
    up: old =>
      withinLimits(old, {
        revision: LIMITS.olderCount,
        micron: LIMITS.micron,
        per100g: LIMITS.price,
        gramsCounted: LIMITS.grams,
        ropeGPerM: LIMITS.ropeGPerM,
      }),
  },
];
export const woolKind = defineKind<Wool>({
  kind: 'wool',
  table: 'wools',
  since: 1,
  schema: WoolSchema,
  migrations: WOOL_MIGRATIONS,
  nameOf: wool => wool.name,
});

/** A new wool. Time and name are passed in. */
export const newWool = (
  of: Pick<Wool, 'id' | 'name' | 'fibre' | 'form' | 'colour'> & { readonly now: string },
): Wool => {
  const { now, ...named } = of;
  return {
    kind: 'wool',
    version: 3,
    ...fresh(of.id, now),
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
