import type { Judge } from '../acts/vocabulary';
import type { UsualWork } from '../acts/actSpec';
import type { Prior } from '../felting/feltingModel';
import type { Particle } from '../felting/likelihood';
import type { ThinPlace } from '../evenness/thinPlaces';
import type { FormPlan } from '../forms/formKind';
import { normal } from '../numeric/random';
import type { Habits } from '../ways/habits';
import type { Way } from '../ways/way';
import { chanceAt } from './chanceAt';

/** What is rehearsed: one piece as it was planned, and how its maker works. */
export interface Rehearsed {
  readonly form: FormPlan;
  readonly way: Way;
  readonly judge: Judge;
  readonly habits: Habits;
  readonly usual: UsualWork;
}

/** What is true of a made-up piece from the beginning, and nobody at the bench is told. */
export interface Hidden {
  /** Any whole number: with the log it decides everything. */
  readonly seed: number;
  /** What is believed of this maker and wool: the felt is drawn from it. */
  readonly belief: Prior;
  /** Faults that can come about, by their ids; all when left out. A lesson may leave only its own. */
  readonly faults?: readonly string[];
  /** At which share of its way it is firm, where that is not drawn. */
  readonly firmAt?: number;
  /** Where its layout came out thin, once that was simulated (`hiddenLayout`); none when left out. */
  readonly spots?: readonly ThinPlace[];
  /** A real piece that is gone on with: up to which place of its log it is as the model has it, and how that is. */
  readonly goesOn?: { readonly seq: number; readonly felt: Particle };
}

/** How far makers' skins and firm pieces scatter. Common practice; nothing was measured. */
const SKIN_SD = 0.2;
const FIRM = { mean: 0.95, sd: 0.03 } as const;

/** Work at which the skin of a side holds, as a share of what is usual for the way: about 1. */
export const skinHoldsAt = ({ seed }: Pick<Hidden, 'seed'>, face: number): number =>
  0.9 * Math.exp(SKIN_SD * normal(chanceAt(seed, 'skin', face)));

/** Share of the way to the target at which it is firm by itself: about 0.95. */
export const firmAt = ({ seed, firmAt: given }: Pick<Hidden, 'seed' | 'firmAt'>): number =>
  given ?? FIRM.mean + FIRM.sd * normal(chanceAt(seed, 'firm'));
