import type { ChainQuantity } from '../chain/quantities';
import type { Measures } from '../forms/formKind';

/** The links of the chain that a plan keeps a figure for; size and shrinkage are kept with the form. */
export type KeptLink = Exclude<ChainQuantity, 'size' | 'shrinkage'>;

/** All that a felter has decided about a piece. Nothing here can be derived from the rest. */
export interface PlanInput {
  readonly form: { readonly kind: string; readonly measures: Measures };
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
}
