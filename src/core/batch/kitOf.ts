import { type PieceWools, woolNeeds } from '../wool/pileList';
import type { WeighPlan } from '../wool/weigh';

/** How a class is provided for, all of it common practice, no published source. */
const KIT_PRACTICE = {
  /** Kits beyond the people, as a share of them; one at least. */
  spareShare: 0.1,
  /** People who share a bowl of water and a piece of soap. */
  perBowl: 3,
} as const;

/** Things that a class may need beside the wool. What they are called stands in `src/words/kit.ts`. */
export type KitThing = 'resist' | 'cover' | 'mat' | 'towel' | 'bowl' | 'soap' | 'card' | 'scissors';

/** A thing to pack, and how many of it. */
export interface Packed {
  readonly thing: KitThing;
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
}

/**
 * A kit for each person of a class, with spares and a packing list.
 * @param of.people whole, ≥ 1  @param of.spares whole, ≥ 0; left out, one in ten, one at least
 */
export const kitOf = (
  weigh: WeighPlan,
  of: PieceWools & {
    readonly people: number;
    readonly spares?: number;
    readonly onResist: boolean;
  },
): Kit => {
  const spares = of.spares ?? Math.max(1, Math.ceil(KIT_PRACTICE.spareShare * of.people));
  const kits = of.people + spares;
  const shared = Math.ceil(of.people / KIT_PRACTICE.perBowl);
  return {
    kits,
    spares,
    wools: woolNeeds(weigh, of).map(({ woolId, grams }) => ({ woolId, each: grams, all: grams * kits })),
    packed: [
      ...(of.onResist ? [{ thing: 'resist' as const, count: kits }] : []),
      { thing: 'cover', count: of.people },
      { thing: 'mat', count: of.people },
      { thing: 'towel', count: of.people },
      { thing: 'bowl', count: shared },
      { thing: 'soap', count: shared },
      { thing: 'card', count: of.people },
      { thing: 'scissors', count: shared },
    ],
  };
};
