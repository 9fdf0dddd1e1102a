import type { WayId } from '../forms/wayId';
import type { Phase } from './practiceMinutes';
import type { PacedTask } from './readiness';
import type { Minute } from './task';

/** Pieces alike that are still to be made, and how far they are. */
export interface Work {
  readonly id: string;
  readonly name: string;
  readonly way: WayId;
  /** True for balls and the like, of which hands stand only so many. */
  readonly isSolid: boolean;
  /** What one is laid of, g, > 0. */
  readonly gramsEach: number;
  /** How many there are altogether, ≥ 1. */
  readonly count: number;
  /** How many are felted already. */
  readonly felted: number;
  /** The phase in which the rest is. */
  readonly phase: Phase;
  /** Minutes of hands that went into that phase already. */
  readonly spentMin: number;
  /** Hours one dries, and the deviation of its logarithm. */
  readonly dryH: number;
  readonly drySd: number;
  /** What it dries in: pieces of one air are longer or shorter alike. */
  readonly air: string;
  /** True where it lies in the vinegar before it is rinsed out. */
  readonly soaks: boolean;
  /** True where hands are at it once more when it is dry. */
  readonly hasAfter: boolean;
  /** When what dries now is likely to be dry; null where nothing does. */
  readonly dryAt: Minute | null;
  readonly due: Minute | null;
}

/** Things that are put together of works. */
export interface Joining {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  /** What it waits for until it holds: glue. Minutes. */
  readonly setsMin: Minute;
  /** The works that go into it. */
  readonly of: readonly string[];
  readonly due: Minute | null;
}

/** What is done in a task. */
export type TaskDoes = 'lay' | 'felt' | 'rinse' | 'dry' | 'after' | 'join' | 'drying';
export interface WorkTask extends PacedTask {
  readonly does: TaskDoes;
  /** The work or joining it is of. */
  readonly of: string;
  readonly name: string;
  /** How many pieces it is for. */
  readonly count: number;
  /** Which sitting of how many; null where there is only one. */
  readonly sitting: { readonly number: number; readonly of: number } | null;
}

export const BASIN = 'basin';
export const RACK = 'rack';
