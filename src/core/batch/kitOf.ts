import { type PieceWools, woolNeeds } from '../wool/pileList';
import type { WeighPlan } from '../wool/weigh';

/** How a class is provided for, all of it common practice, no published source. */
const KIT_PRACTICE = {
  /** Kits beyond the heads, as a share of them; one at least. */
  spareShare: 0.1,
  /** Heads that share a bowl of water and a piece of soap. */
  perBowl: 3,
} as const;

/** A thing to pack, and how many of it. */
export interface Packed {
  readonly name: string;
  readonly count: number;
}

export interface Kit {
  readonly kits: number;
  readonly spares: number;
  /** Grams of each wool in one kit, its part of the reserve in it, and in all kits. */
  readonly wools: ReadonlyArray<{
    readonly woolId: string | null;
    readonly each: number;
    readonly all: number;
  }>;
  readonly packed: readonly Packed[];
  /** Steps that only an adult does, where there are children. */
  readonly adultOnly: readonly string[];
}

/**
 * A kit a head for a class, with spares and a packing list.
 * @param of.heads whole, ≥ 1  @param of.spares whole, ≥ 0; left out, one in ten, one at least
 */
export const kitOf = (
  weigh: WeighPlan,
  of: PieceWools & {
    readonly heads: number;
    readonly spares?: number;
    readonly children: boolean;
    readonly onResist: boolean;
  },
): Kit => {
  const spares = of.spares ?? Math.max(1, Math.ceil(KIT_PRACTICE.spareShare * of.heads));
  const kits = of.heads + spares;
  const shared = Math.ceil(of.heads / KIT_PRACTICE.perBowl);
  return {
    kits,
    spares,
    wools: woolNeeds(weigh, of).map(({ woolId, grams }) => ({ woolId, each: grams, all: grams * kits })),
    packed: [
      ...(of.onResist ? [{ name: 'resist, cut out', count: kits }] : []),
      { name: 'net or thin plastic to cover', count: of.heads },
      { name: 'bubble wrap or mat to roll in', count: of.heads },
      { name: 'towel', count: of.heads },
      { name: 'bowl of water', count: shared },
      { name: 'piece of soap', count: shared },
      { name: 'card with the steps', count: of.heads },
      { name: 'pair of scissors', count: shared },
    ],
    adultOnly: of.children
      ? [
          'Water of about 40 °C only; an adult pours it.',
          'An adult cuts the felt open and takes the resist out.',
          'No shocking with hot water.',
          'Small beads and wisps away from the smallest.',
        ]
      : [],
  };
};
