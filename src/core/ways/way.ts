import type { ActKind } from '../acts/act';
import type { FirmTest } from '../acts/feltTests';
import type { WayId } from '../forms/wayId';
import type { KitThing } from './kitThing';
import type { LayBuild } from './layBuild';
import type { HabitId } from './habits';

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
  /** True for a sheet: it is rolled with its front up, and then with its back. */
  readonly hasBack?: true;
  /** How its wool comes together. */
  readonly build: LayBuild;
  /** What schools differ in here, beside count, clock and feel. */
  readonly habits: readonly HabitId[];
  /** What is packed for it beside the wool, for a class or a table. */
  readonly kit: readonly KitThing[];
  /** Acts of the row at the bench, in the order in which one comes to them. */
  readonly acts: readonly ActKind[];
  /** What makes the skin: of each side, or of the whole. */
  readonly skin: UsualAmount;
  /** Which test says whether the skin holds. */
  readonly skinTest: 'pinch' | 'finger' | 'cloth';
  /** True where it is rubbed from its back too, once hairs have come through. */
  readonly rubsBack?: true;
  /** What shrinks it, and how much at once; up to 3 cm it may be another act. */
  readonly shrink: UsualAmount & { readonly small?: ActKind };
  /** What firms it at its size. */
  readonly firms: UsualAmount;
  /** What says that it is firm, where the way decides; by its form where it does not. */
  readonly firmTest?: FirmTest;
}
