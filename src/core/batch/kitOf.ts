import { type PieceWools, woolNeeds } from '../wool/pileList';
import type { WeighPlan } from '../wool/weigh';
import type { KitThing } from '../ways/kitThing';

/** How a class is provided for, all of it common practice, no published source. */
const KIT_PRACTICE = {
  /** Kits beyond the people, as a share of them; one at least. */
  spareShare: 0.1,
  /** People who share a bowl of water and a piece of soap. */
  perBowl: 3,
} as const;

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

/** What several people share: water, soap, and what is needed for a moment only. */
const SHARED: ReadonlySet<KitThing> = new Set(['bowl', 'soap', 'scissors', 'tub', 'board', 'basin']);
/** What goes into every kit, spare ones too: it is cut or fitted to the piece. */
const IN_EACH_KIT: ReadonlySet<KitThing> = new Set(['resist', 'grid', 'cloth']);

/**
 * A kit for each person of a class, with spares and a packing list.
 * @param of.people whole, ≥ 1  @param of.spares whole, ≥ 0; left out, one in ten, one at least
 * @param of.things what is needed beside the wool, for the way it is worked in
 */
export const kitOf = (
  weigh: WeighPlan,
  of: PieceWools & {
    readonly people: number;
    readonly spares?: number;
    readonly things: readonly KitThing[];
  },
): Kit => {
  const spares = of.spares ?? Math.max(1, Math.ceil(KIT_PRACTICE.spareShare * of.people));
  const kits = of.people + spares;
  const shared = Math.ceil(of.people / KIT_PRACTICE.perBowl);
  return {
    kits,
    spares,
    wools: woolNeeds(weigh, of).map(({ woolId, grams }) => ({ woolId, each: grams, all: grams * kits })),
    packed: of.things.map(thing => ({
      thing,
      count: SHARED.has(thing) ? shared : IN_EACH_KIT.has(thing) ? kits : of.people,
    })),
  };
};
