import type { ActKind } from '../acts/act';
import type { FirmTest } from '../acts/feltTests';
import type { WayId } from '../forms/wayId';

/** How much of an act is usual at once: in its own unit. */
export interface UsualAmount {
  readonly kind: ActKind;
  readonly count: number;
}

/**
 * A way of working: what the bench, the advice and the recipes read, and none of them knows a way by name. All figures are
 * common practice, no published source.
 */
export interface Way {
  readonly id: WayId;
  /** Whether its rolls have a direction, and it is rolled each way by itself. */
  readonly hasDirections: boolean;
  /** Whether each side is wetted and worked by itself, or the piece as a whole. */
  readonly bySide: boolean;
  /** Acts of the row at the bench, in the order in which one comes to them. */
  readonly acts: readonly ActKind[];
  /** What makes the skin: of each side, or of the whole. */
  readonly skin: UsualAmount;
  /** Which test says whether the skin holds. */
  readonly skinTest: 'pinch' | 'finger';
  /** What shrinks it, and how much at once; up to 3 cm it may be another act. */
  readonly shrink: UsualAmount & { readonly small?: ActKind };
  /** What firms it at its size. */
  readonly firms: UsualAmount;
  /** What says that it is firm, where the way decides; by its form where it does not. */
  readonly firmTest?: FirmTest;
}
