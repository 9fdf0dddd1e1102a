import type { RecipeStep } from '../acts/recipeStep';

/** How a maker goes from wet wool to dry felt: steps in order, free to depart from. */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly steps: readonly RecipeStep[];
}

const MINUTE_MS = 60_000;

/** Minutes that are left of a clock, rounded up; 0 once it has run out. A clock set back lengthens it by no more than it was. */
export const minutesLeft = (minutes: number, startedMs: number, nowMs: number): number =>
  Math.max(0, Math.min(minutes, Math.ceil((minutes * MINUTE_MS - (nowMs - startedMs)) / MINUTE_MS)));

/** A step moved by so many places; at an end it stays. */
export const moveStep = (steps: readonly RecipeStep[], at: number, by: number): readonly RecipeStep[] => {
  const to = at + by;
  const step = steps[at];
  if (!step || to < 0 || to >= steps.length) return steps;
  const rest = steps.filter((_, i) => i !== at);
  return [...rest.slice(0, to), step, ...rest.slice(to)];
};
