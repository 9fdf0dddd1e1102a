import { z } from 'zod';
import { CUSHIONS, PRESSURES } from '../core/cycles/entry';
import type { Migration, RecordSpec } from './migrate';

const SettingsSchema = z.object({
  kind: z.literal('settings'),
  version: z.literal(1),
  units: z.enum(['metric', 'imperial']),
  theme: z.enum(['system', 'light', 'dark']),
  page: z.enum(['a4', 'letter']),
  /** Rolls that one tap logs. */
  setOfRolls: z.number().int().min(1).max(1000),
  cushion: z.enum(CUSHIONS),
  pressure: z.enum(PRESSURES),
  /** True once the sample was put in, so that it does not come back after being cleared. */
  sampleOffered: z.boolean(),
});

/** How this browser shows and does things. Lives in the browser, not in exported files. */
export type Settings = z.infer<typeof SettingsSchema>;

export const SETTINGS_MIGRATIONS: readonly Migration[] = [];
export const settingsSpec: RecordSpec<Settings> = {
  kind: 'settings',
  schema: SettingsSchema,
  migrations: SETTINGS_MIGRATIONS,
};

export const DEFAULT_SETTINGS: Settings = {
  kind: 'settings',
  version: 1,
  units: 'metric',
  theme: 'system',
  page: 'a4',
  setOfRolls: 30,
  cushion: 'bubble',
  pressure: 'arms',
  sampleOffered: false,
};
