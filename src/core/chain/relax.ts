import type { ChainContext, ChainQuantity, PartialChain } from './quantities';
import { solveChain } from './solveChain';

/** Who gives way first when one more figure is set: what is cheapest to change at a kitchen table. */
const GIVES_FIRST: readonly ChainQuantity[] = [
  'gramsPerLayer',
  'grams',
  'arealLaid',
  'thickness',
  'laidSize',
  'size',
  'firmness',
  'shrinkage',
  'layers',
];

/** Links of the chain less its relations: so many figures fix all the others. */
const FREEDOM = { sheet: 5, solid: 3 } as const;

/** Which links are held firmly (pinned by the felter), which lightly (given, may give way). The rest follow. */
export interface HeldLinks {
  readonly pinned: readonly ChainQuantity[];
  readonly given: readonly ChainQuantity[];
}

/** The links that are held, with their values. */
export const heldValues = (holds: HeldLinks, values: PartialChain): PartialChain =>
  Object.fromEntries(
    [...holds.pinned, ...holds.given].flatMap(link =>
      values[link] === undefined ? [] : [[link, values[link]]],
    ),
  );

/**
 * After `newest` has been set, lets one lightly held link go so that the chain keeps exactly its freedom.
 * When every link in the way is pinned, nothing gives and the disagreement stays to be told.
 * @param values the value of every held link, `newest` included
 */
export const relax = (
  holds: HeldLinks,
  newest: ChainQuantity,
  { values, ctx }: { values: PartialChain; ctx: ChainContext },
): HeldLinks => {
  const candidates = GIVES_FIRST.filter(link => link !== newest && holds.given.includes(link));
  if (holds.pinned.length + holds.given.length <= FREEDOM[ctx.body]) {
    const now = solveChain(heldValues(holds, values), ctx);
    if (now.status === 'solved') return holds;
  }
  for (const link of candidates) {
    const next: HeldLinks = { pinned: holds.pinned, given: holds.given.filter(l => l !== link) };
    if (solveChain(heldValues(next, values), ctx).status === 'solved') return next;
  }
  return holds;
};
