import type { CameAboutId } from '../core/rehearsal/cameAbout';
import type { Goal } from '../core/rehearsal/goal';
import { FAULT_WORDS } from './faults';

export type GoalKind = Exclude<Goal['is'], 'all'>;

/** What a step of a lesson waits for, to be chosen by whoever writes one. */
export const GOAL_WORDS: Readonly<Record<GoalKind, string>> = {
  done: 'so much was done',
  tested: 'a test was written down',
  skin: 'the skin is so far (100 %: it holds)',
  way: 'it is so far on its way',
  even: 'length and width are so near each other',
  area: 'its area is such a share of what was laid',
  opened: 'it was opened so far on its way, its skin holding',
  caught: 'what went wrong was seen in time',
  sound: 'nothing that went wrong is fast',
};
/** What each begins with, once it was chosen. */
export const FRESH_GOALS: Readonly<Record<GoalKind, Goal>> = {
  done: { is: 'done', act: 'rub', least: 40 },
  tested: { is: 'tested', test: 'pinch', least: 2 },
  skin: { is: 'skin', least: 1 },
  way: { is: 'way', least: 0.4, most: 0.6 },
  even: { is: 'even', most: 0.1 },
  area: { is: 'area', least: 0.4, most: 0.6 },
  opened: { is: 'opened', least: 0.3, most: 0.7 },
  caught: { is: 'caught', fault: 'fold' },
  sound: { is: 'sound' },
};
const isGoalKind = (is: string): is is GoalKind => Object.hasOwn(GOAL_WORDS, is);
export const goalKinds: readonly GoalKind[] = Object.keys(GOAL_WORDS).filter(isGoalKind);

/** What can go wrong by itself, by a name. */
const CAME_ABOUT_CALLED: Readonly<Record<CameAboutId, string>> = {
  fold: FAULT_WORDS.fold.seen,
  stuck: FAULT_WORDS.stuck.seen,
  ravel: 'a cut edge ravels',
  hard: 'a cut edge stays hard',
  crack: FAULT_WORDS.crack.seen,
  thin: FAULT_WORDS.thin.seen,
  sausage: FAULT_WORDS.sausage.seen,
};
export const CAME_ABOUT_NAMES: ReadonlyArray<{ readonly value: string; readonly text: string }> =
  Object.entries(CAME_ABOUT_CALLED).map(([value, text]) => ({ value, text }));
