import { z } from 'zod';
import { LIMITS } from '../core/limits';
import { count, fresh, IsoTime, kept } from './common';
import { defineKind } from './kind';

/** A time of day, as 19:30; 24:00 ends a day. */
const TimeOfDay = z.string().regex(/^(([01]\d|2[0-3]):[0-5]\d|24:00)$/);
const BasisPoints = z.number().int().min(0).max(9_900);
const Stretch = z.object({ from: TimeOfDay, to: TimeOfDay });

const WorkplaceSchema = z.object({
  kind: z.literal('workplace'),
  version: z.literal(1),
  ...kept,
  /** Hours of each weekday, Monday first: seven lists. */
  hours: z.array(z.array(Stretch).max(6)).length(7),
  /** Days on which nothing is done, as 2026-12-24. */
  daysOff: z.array(z.iso.date()).max(400),
  /** The longest that hands stand at a stretch, min, and how long they rest then. */
  sittingMin: z.number().int().min(10).max(600),
  restMin: z.number().int().min(0).max(600),
  /** Basins that pieces are worked in, and places on the rack. */
  basins: z.number().int().min(1).max(50),
  rackPlaces: z.number().int().min(1).max(100_000),
  /** ISO 4217, and how sums are written; null as this browser does. */
  currency: z.string().regex(/^[A-Z]{3}$/),
  locale: z.string().max(40).nullable(),
  /** An hour of hands, and soap and water of a sitting, in the smallest unit; null where they are not counted. */
  hourRate: count(LIMITS.minor).nullable(),
  sittingCost: count(LIMITS.minor).nullable(),
  /** Shares in hundredths of a per cent. */
  overheadBp: BasisPoints,
  feeBp: BasisPoints,
  marginBp: BasisPoints,
  /** Whether things are laid in as early as they can be, or as late as they may be. */
  direction: z.enum(['early', 'late']),
  /** Tasks that were put by hand, and when they begin. */
  moved: z.array(z.object({ task: z.string().min(1).max(200), at: IsoTime })).max(2000),
});

/** What a maker works in: hours, hands, rack and money. There is one. */
export type Workplace = z.infer<typeof WorkplaceSchema>;

/** The one there is. */
export const WORKPLACE_ID = 'workplace';

export const workplaceKind = defineKind<Workplace>({
  kind: 'workplace',
  table: 'workplaces',
  since: 6,
  isAlone: true,
  schema: WorkplaceSchema,
  migrations: [],
  nameOf: () => 'hours and money',
});

const EVENING = [{ from: '19:00', to: '21:00' }];
const WEEKEND = [
  { from: '10:00', to: '12:30' },
  { from: '14:00', to: '16:30' },
];

/** What is taken before anybody said anything: evenings and weekends at a kitchen table. Common practice. */
export const usualWorkplace = (now: string): Workplace => ({
  kind: 'workplace',
  version: 1,
  ...fresh(WORKPLACE_ID, now),
  hours: [EVENING, EVENING, EVENING, EVENING, EVENING, WEEKEND, WEEKEND],
  daysOff: [],
  sittingMin: 90,
  restMin: 30,
  basins: 1,
  rackPlaces: 24,
  currency: 'EUR',
  locale: null,
  hourRate: null,
  sittingCost: null,
  overheadBp: 0,
  feeBp: 0,
  marginBp: 3_000,
  direction: 'early',
  moved: [],
});
