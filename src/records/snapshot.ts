import type { Entry } from './entry';
import type { Piece } from './piece';
import type { OwnRecipe } from './recipe';
import type { Swatch } from './swatch';
import type { Wool } from './wool';

/** All that a workshop, or one piece with what belongs to it, consists of. */
export interface Snapshot {
  readonly pieces: readonly Piece[];
  readonly wools: readonly Wool[];
  readonly swatches: readonly Swatch[];
  /** The maker's own. */
  readonly recipes: readonly OwnRecipe[];
  readonly entries: readonly Entry[];
}
