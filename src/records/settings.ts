import { z } from 'zod';
import { type Limit, LIMITS } from '../core/limits';
import { CUSHIONS, PRESSURES } from '../core/acts/vocabulary';
import { count, figure } from './common';
import type { Migration, RecordSpec } from './migrate';
import { withinLimits } from './withinLimits';

/** Papers that templates are printed on. */
const PAGE_NAMES = ['a4', 'a3', 'letter', 'tabloid'] as const;

/** What a dragged length snaps to, coarsest first: 1 cm, ½ cm, 1 mm; or ½, ¼, ⅛ in. */
export const SNAP_NAMES = ['whole', 'half', 'fine'] as const;

/** What was never checked before: the pace that was counted, and the wisps that were weighed. */
const HAND: Readonly<Record<'lengthMm' | 'widthMm' | 'grams', Limit>> = {
  lengthMm: { least: 0.1, most: 1000 },
  widthMm: { least: 0.1, most: 500 },
  grams: { least: 0.0001, most: 50 },
};
const PACE: Limit = { least: 1, most: 400 };

const SettingsSchema = z.object({
  kind: z.literal('settings'),
  version: z.literal(5),
  /** Counts its changes, so that a note made before the last of them is not taken for newer. */
  revision: count(LIMITS.revision),
  units: z.enum(['metric', 'imperial']),
  theme: z.enum(['system', 'light', 'dark']),
  page: z.enum(PAGE_NAMES),
  /** Which way paper lies; `auto` takes fewer sheets. */
  orientation: z.enum(['auto', 'upright', 'lying']),
  /** What lengths dragged on the table snap to: whole or half centimetres, or as fine as a tape. */
  snap: z.enum(SNAP_NAMES),
  /** Rolls that one tap logs. */
  setOfRolls: z.number().int().min(1).max(1000),
  cushion: z.enum(CUSHIONS),
  pressure: z.enum(PRESSURES),
  /** How often the advice asks for a measuring. */
  pace: z.enum(['careful', 'brisk']),
  /** Rolls a minute, as the felter's own hands go; null until they were counted. */
  rollsPerMinute: figure(PACE).nullable(),
  /** What the pacer sounds like. */
  pacer: z.enum(['silent', 'tick', 'spoken']),
  /** Rolls after which a rest is reminded of; 0 is never. */
  restEvery: z.number().int().min(0).max(2000),
  /** The wisps that this felter pulls, for the simulated layout; null until they were weighed. */
  hand: z
    .object({
      lengthMm: figure(HAND.lengthMm),
      widthMm: figure(HAND.widthMm),
      grams: figure(HAND.grams),
    })
    .nullable(),
  /** True once the sample was put in, so that it does not come back after being cleared. */
  sampleOffered: z.boolean(),
});

/** How this browser shows and does things. Lives in the browser, not in exported files. */
export type Settings = z.infer<typeof SettingsSchema>;

export const SETTINGS_MIGRATIONS: readonly Migration[] = [
  { version: 2, name: 'AddOrientationAndSnap', up: old => ({ ...old, orientation: 'auto', snap: 'half' }) },
  { version: 3, name: 'AddHand', up: old => ({ ...old, hand: null }) },
  {
    version: 4,
    name: 'AddPacerAndRests',
    up: old => ({ ...old, pace: 'brisk', rollsPerMinute: null, pacer: 'tick', restEvery: 90 }),
  },
  {
    version: 5,
    name: 'AddRevisionAndLimits',
    up: old =>
      withinLimits(
        { ...old, revision: 1 },
        {
          rollsPerMinute: PACE,
          'hand.lengthMm': HAND.lengthMm,
          'hand.widthMm': HAND.widthMm,
          'hand.grams': HAND.grams,
        },
      ),
  },
];
export const settingsSpec: RecordSpec<Settings> = {
  kind: 'settings',
  schema: SettingsSchema,
  migrations: SETTINGS_MIGRATIONS,
};

export const DEFAULT_SETTINGS: Settings = {
  kind: 'settings',
  version: 5,
  revision: 1,
  units: 'metric',
  theme: 'system',
  page: 'a4',
  orientation: 'auto',
  snap: 'half',
  setOfRolls: 30,
  cushion: 'bubble',
  pressure: 'arms',
  pace: 'brisk',
  rollsPerMinute: null,
  pacer: 'tick',
  restEvery: 90,
  hand: null,
  sampleOffered: false,
};
