import type { ActChoices } from './choices';
import type { Cushion, Judge, Water } from './vocabulary';

/** One step of a recipe, with an id that no step of any other has. What does not belong to its act is left out. */
export interface RecipeStep {
  readonly id: string;
  /** What it asks for: a name that an act answers to, or one that only the felter can tick off. */
  readonly act: string;
  /** Rubs of each face, rolls each way on each face, throws, or rounds. */
  readonly count?: number;
  readonly cushion?: Cushion;
  readonly water?: Water;
  /** How long it takes, minutes: rubbing by the clock, soaking, drying. */
  readonly minutes?: number;
}

/** What is left of a step, one thing to do: an act with what is chosen of it, a panel to open, or a tick. */
export type StepMove =
  | { readonly does: 'act'; readonly kind: string; readonly choices: ActChoices }
  | { readonly does: 'panel'; readonly panel: 'pinch' | 'look' | 'measure' | 'compare' }
  /** Only the felter can say that it is done. */
  | { readonly does: 'tick' };

/** How a piece is worked. */
export interface WorkScope {
  /** Numbers of the faces that are worked, e.g. [1, 2]. */
  readonly faces: readonly number[];
  /** Sides that are rolled: those of the faces, or the front and the back of a sheet. */
  readonly legs: readonly number[];
  /** How its maker tells how far it is: who goes by feel is never sent to measure. */
  readonly judge: Judge;
  /** False for a solid: its rolls have no direction. */
  readonly hasDirections: boolean;
  /** Faces that were wetted while they were laid. */
  readonly wetted: readonly number[];
}
