import { divide } from './divide';
import type { ScalePile } from './pileList';

/** A pile that was weighed. */
export interface Weighing {
  readonly pile: string;
  readonly grams: number;
}

/** A pile with what it should weigh now, and what it weighed. */
export interface PileState extends ScalePile {
  /** g, after what was weighed before it was taken off what is left of its wool. */
  readonly wanted: number;
  readonly weighed: number | null;
  /** True where it differs from its plan, or from the same pile of its pair, by more than is allowed. */
  readonly isOff: boolean;
}

export interface WeighState {
  readonly piles: readonly PileState[];
  /** The pile to weigh now; null when all are weighed. */
  readonly next: PileState | null;
  /** Piles of a pair or a set that differ: what they are, and by how much. */
  readonly unequal: ReadonlyArray<{
    readonly face: string;
    readonly layer: number | null;
    readonly byG: number;
  }>;
}

/** A pile may differ by this share, and by a step of the scale at least; common practice. */
const ALLOWED = 0.03;
export const allowedG = (grams: number, stepG: number): number => Math.max(stepG, ALLOWED * grams) + 1e-9;

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** What is left of each wool, shared over the piles that are still to be weighed as the plan shares it. */
const wantedOf = (
  piles: readonly ScalePile[],
  weighed: ReadonlyMap<string, number>,
  stepG: number,
): ReadonlyMap<string, number> => {
  const wanted = new Map<string, number>();
  for (const woolId of new Set(piles.map(p => p.woolId))) {
    const own = piles.filter(p => p.woolId === woolId && p.decoration === undefined);
    const open = own.filter(p => !weighed.has(p.id));
    const left = sum(own.map(p => p.grams)) - sum(own.map(p => weighed.get(p.id) ?? 0));
    const shares = divide(
      Math.max(0, left),
      open.map(p => p.grams),
      stepG,
    );
    open.forEach((p, i) => wanted.set(p.id, shares[i] ?? 0));
  }
  return wanted;
};

/**
 * Where the weighing stands. A pile weighed twice counts as it was weighed last.
 * @param stepG what the scale reads, g, > 0
 */
export const weighState = (
  piles: readonly ScalePile[],
  weighings: readonly Weighing[],
  stepG: number,
): WeighState => {
  const known = new Set(piles.map(p => p.id));
  const weighed = new Map(weighings.filter(w => known.has(w.pile)).map(w => [w.pile, w.grams]));
  const wanted = wantedOf(piles, weighed, stepG);
  const states = piles.map((p): PileState => {
    const grams = weighed.get(p.id) ?? null;
    return {
      ...p,
      wanted: wanted.get(p.id) ?? p.grams,
      weighed: grams,
      isOff: grams !== null && Math.abs(grams - p.grams) > allowedG(p.grams, stepG),
    };
  });
  const alike = new Map<string, PileState[]>();
  for (const p of states) {
    const key = p.id.slice(p.id.indexOf('.'));
    alike.set(key, [...(alike.get(key) ?? []), p]);
  }
  const unequal = [...alike.values()].flatMap(set => {
    const grams = set.flatMap(p => (p.weighed === null ? [] : [p.weighed]));
    const byG = Math.max(...grams) - Math.min(...grams);
    const [first] = set;
    return first && grams.length > 1 && byG > allowedG(first.grams, stepG)
      ? [{ face: first.face, layer: first.layer, byG }]
      : [];
  });
  return { piles: states, next: states.find(p => p.weighed === null) ?? null, unequal };
};
