import { BALL_DRIES_HOURS } from '../acts/practice';
import type { RecipeStep } from '../acts/recipeStep';

/** How a maker goes from wet wool to dry felt: steps in order, free to depart from. */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly steps: readonly RecipeStep[];
}

const recipe = (id: string, name: string, steps: ReadonlyArray<Omit<RecipeStep, 'id'>>): Recipe => ({
  id,
  name,
  // No two recipes share the id of a step, so that what was ticked of one is not taken for the other's.
  steps: steps.map((step, i) => ({ id: `${id}-${i + 1}`, ...step })),
});

const FINISH: ReadonlyArray<Omit<RecipeStep, 'id'>> = [
  { act: 'rinse', water: 'warm' },
  { act: 'soak', minutes: 15, water: 'cold' },
  { act: 'shape' },
  { act: 'dry', minutes: 24 * 60 },
];

/** Schools to start from. All of it common practice, no published source. */
export const SCHOOLS: readonly Recipe[] = [
  recipe('by-count', 'By count, hot water', [
    { act: 'wet', water: 'hot' },
    { act: 'rub', count: 40 },
    { act: 'pinch' },
    { act: 'roll', count: 50, cushion: 'thick' },
    { act: 'look' },
    { act: 'roll', count: 50, cushion: 'bubble' },
    { act: 'measure' },
    { act: 'roll', count: 50, cushion: 'mat' },
    { act: 'measure' },
    { act: 'cut' },
    { act: 'resist-out' },
    { act: 'edges' },
    { act: 'roll', count: 30, cushion: 'bare' },
    { act: 'throw', count: 12 },
    { act: 'measure' },
    ...FINISH,
  ]),
  recipe('by-clock', 'By the clock, warm water', [
    { act: 'wet', water: 'warm' },
    { act: 'rub', minutes: 10 },
    { act: 'pinch' },
    { act: 'roll', count: 30, cushion: 'bubble' },
    { act: 'look' },
    { act: 'rub', minutes: 10 },
    { act: 'roll', count: 100, cushion: 'bubble' },
    { act: 'measure' },
    { act: 'roll', count: 100, cushion: 'mat' },
    { act: 'measure' },
    { act: 'throw', count: 24 },
    ...FINISH,
  ]),
  recipe('hot-and-cold', 'Hot and cold in turn', [
    { act: 'wet', water: 'hot' },
    { act: 'rub', count: 60 },
    { act: 'pinch' },
    { act: 'roll', count: 100, cushion: 'bubble' },
    { act: 'measure' },
    { act: 'cut' },
    { act: 'resist-out' },
    { act: 'shock', count: 2 },
    { act: 'roll', count: 50, cushion: 'mat' },
    { act: 'shock', count: 2 },
    { act: 'measure' },
    { act: 'throw', count: 12 },
    { act: 'rinse', water: 'hot' },
    { act: 'rinse', water: 'cold' },
    { act: 'shape' },
    { act: 'dry', minutes: 24 * 60 },
  ]),
  recipe('gentle', 'Gentle, for cloth and thin sheets', [
    { act: 'wet', water: 'warm' },
    { act: 'rub', count: 60 },
    { act: 'pinch' },
    { act: 'roll', count: 100, cushion: 'thick' },
    { act: 'look' },
    { act: 'roll', count: 100, cushion: 'bubble' },
    { act: 'look' },
    { act: 'measure' },
    { act: 'throw', count: 24 },
    { act: 'measure' },
    ...FINISH,
  ]),
  recipe('ball', 'Balls, between the palms', [
    { act: 'wet', water: 'hot' },
    { act: 'palms', minutes: 1 },
    { act: 'look' },
    { act: 'palms', minutes: 4 },
    { act: 'measure' },
    { act: 'shock', count: 1 },
    { act: 'palms', minutes: 2 },
    { act: 'measure' },
    { act: 'rinse', water: 'cold' },
    { act: 'dry', minutes: BALL_DRIES_HOURS * 60 },
  ]),
  recipe('ball-by-feel', 'Balls by feel, no tape', [
    { act: 'wet', water: 'warm' },
    { act: 'palms', minutes: 2 },
    { act: 'look' },
    { act: 'palms', minutes: 5 },
    { act: 'shock', count: 2 },
    { act: 'rinse', water: 'cold' },
    { act: 'dry', minutes: BALL_DRIES_HOURS * 60 },
  ]),
  recipe('stocking', 'Balls in a stocking, then the machine', [
    { act: 'wet', water: 'hot' },
    { act: 'stocking', minutes: 2 },
    { act: 'look' },
    { act: 'stocking', minutes: 2 },
    { act: 'machine', count: 1 },
    { act: 'measure' },
    { act: 'dry', minutes: BALL_DRIES_HOURS * 60 },
  ]),
  recipe('many', 'Many at once, in a bowl and under a board', [
    { act: 'wet', water: 'hot' },
    { act: 'shake', minutes: 3 },
    { act: 'look' },
    { act: 'shake', minutes: 3 },
    { act: 'board', minutes: 5 },
    { act: 'palms', minutes: 1 },
    { act: 'measure' },
    { act: 'rinse', water: 'cold' },
    { act: 'dry', minutes: BALL_DRIES_HOURS * 60 },
  ]),
  recipe('pod', 'Over a ball, by the clock', [
    { act: 'wet', water: 'warm' },
    { act: 'handRub', minutes: 5 },
    { act: 'look' },
    { act: 'handRub', minutes: 10 },
    { act: 'measure' },
    { act: 'handRub', minutes: 5 },
    { act: 'cut' },
    { act: 'edges' },
    { act: 'measure' },
    ...FINISH,
  ]),
  recipe('hands', 'Rubbed by hand over a resist', [
    { act: 'wet', water: 'hot' },
    { act: 'handRub', minutes: 20 },
    { act: 'pinch' },
    { act: 'cut' },
    { act: 'edges' },
    { act: 'handRub', minutes: 10 },
    { act: 'shock', count: 2 },
    { act: 'measure' },
    ...FINISH,
  ]),
  recipe('rose', 'Rolled on a tube, left overnight', [
    { act: 'wet', water: 'warm' },
    { act: 'tube', minutes: 60 },
    { act: 'look' },
    { act: 'shape' },
    { act: 'rinse', water: 'cold' },
    { act: 'dry', minutes: 24 * 60 },
  ]),
  recipe('basin', 'Stirred in a basin', [
    { act: 'wet', water: 'hot' },
    { act: 'stir', minutes: 5 },
    { act: 'look' },
    { act: 'stir', minutes: 10 },
    { act: 'measure' },
    ...FINISH,
  ]),
];

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
