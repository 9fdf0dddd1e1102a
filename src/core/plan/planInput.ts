import type { ChainQuantity } from '../chain/quantities';
import type { Measures } from '../forms/formKind';
import type { DrawnOutline } from '../outline/drawn';

/** The links of the chain that a plan keeps a figure for; size and shrinkage are kept with the form. */
export type KeptLink = Exclude<ChainQuantity, 'size' | 'shrinkage'>;

/** All that a felter has decided about a piece. Nothing here can be derived from the rest. */
export interface PlanInput {
  readonly form: {
    readonly kind: string;
    readonly measures: Measures;
    /** For a form that is drawn; null for one that follows from its measures. */
    readonly outline: DrawnOutline | null;
    /** Whether lengths were measured inside the wall or over it. */
    readonly measuredOn: 'inside' | 'outside';
  };
  /** How many alike are made: 2 for a pair. The grams of the chain are for all of them. */
  readonly pieces: number;
  readonly shrinkage: { readonly along: number; readonly across: number };
  /** Links held firmly. */
  readonly pinned: readonly ChainQuantity[];
  /** Links held lightly; one gives way when another figure is set. */
  readonly given: readonly ChainQuantity[];
  /** Last figure of each held link. */
  readonly chain: Readonly<Partial<Record<KeptLink, number>>>;
  readonly foldOverMm: number;
  readonly resistMm: number;
  readonly keptShare: number;
  readonly reserveShare: number;
  readonly scaleStepG: number;
  /** True where no size is to be reached: it is laid, worked until it is firm, and comes as it comes. */
  readonly asItComes?: true;
  /** Whether the heaps of solids alike are weighed for each, or for all together and divided by hand; together when left out. */
  readonly heaps?: 'each' | 'together';
}
