import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { count, figure, fresh, Id, IsoTime, kept } from './common';
import { defineKind } from './kind';
import type { Migration } from './migrate';
import { withinLimits } from './withinLimits';

const Side = figure(LIMITS.swatchMm);
const Grams = figure(LIMITS.weighedG);

const SwatchSchema = z.object({
  kind: z.literal('swatch'),
  version: z.literal(2),
  ...kept,
  woolId: Id,
  /** As laid: both ways in mm, grams in all, layers. */
  laid: z.object({
    along: Side,
    across: Side,
    grams: Grams,
    layers: count(LIMITS.swatchLayers),
  }),
  /** Felted fully, dry; what was not taken is null. */
  result: z.object({
    along: figure(LIMITS.readingMm).nullable(),
    across: figure(LIMITS.readingMm).nullable(),
    grams: Grams.nullable(),
    thicknessMm: figure(LIMITS.thicknessMm).nullable(),
    finishedAt: IsoTime.nullable(),
  }),
  notes: z.string().max(20_000),
});

/** A square of known grams, felted fully and measured again: what a wool does before a piece depends on it. */
export type Swatch = z.infer<typeof SwatchSchema>;

export const SWATCH_MIGRATIONS: readonly Migration[] = [
  {
    version: 2,
    name: 'KeepWithinLimits',
    up: old =>
      withinLimits(old, {
        revision: LIMITS.olderCount,
        'laid.along': LIMITS.swatchMm,
        'laid.across': LIMITS.swatchMm,
        'laid.grams': LIMITS.weighedG,
        'result.along': LIMITS.readingMm,
        'result.across': LIMITS.readingMm,
        'result.grams': LIMITS.weighedG,
        'result.thicknessMm': LIMITS.thicknessMm,
      }),
  },
];
export const swatchKind = defineKind<Swatch>({
  kind: 'swatch',
  table: 'swatches',
  since: 2,
  schema: SwatchSchema,
  migrations: SWATCH_MIGRATIONS,
  nameOf: () => 'swatch',
  partOf: swatch => ({ kind: 'wool', id: swatch.woolId, path: 'woolId' }),
});

/** A new swatch of a wool: 20 cm square, 8 g in four layers (common practice). Time and names are passed in. */
export const newSwatch = (of: {
  readonly id: string;
  readonly woolId: string;
  readonly now: string;
}): Swatch => ({
  kind: 'swatch',
  version: 2,
  ...fresh(of.id, of.now),
  woolId: of.woolId,
  laid: { along: 200, across: 200, grams: 8, layers: 4 },
  result: { along: null, across: null, grams: null, thicknessMm: null, finishedAt: null },
  notes: '',
});
