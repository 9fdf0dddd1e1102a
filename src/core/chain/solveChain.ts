import { propagate, type SolvedBy } from './propagate';
import {
  CHAIN,
  linksOf,
  type ChainContext,
  type ChainQuantity,
  type ChainValues,
  type PartialChain,
} from './quantities';

/** One pin that could give, and the figure at which all the others agree. */
export interface PinRemedy {
  readonly link: ChainQuantity;
  readonly pinned: number;
  readonly needs: number;
}

export type ChainSolution = {
  /** The relation by which each link that follows was found. */
  readonly via: SolvedBy;
} & (
  | { readonly status: 'solved'; readonly values: ChainValues }
  /** Under-determined: what is known so far, and the links that are still free. */
  | { readonly status: 'free'; readonly values: PartialChain; readonly free: readonly ChainQuantity[] }
  /** Over-determined: the pins that cannot all hold, and what each would have to be. */
  | {
      readonly status: 'disagree';
      readonly values: PartialChain;
      readonly pins: readonly ChainQuantity[];
      readonly waysOut: readonly PinRemedy[];
    }
);

const full = (values: PartialChain, ctx: ChainContext): ChainValues | null => {
  const { size, shrinkage, laidSize, grams, firmness } = values;
  if (size === undefined || shrinkage === undefined || laidSize === undefined) return null;
  if (grams === undefined || firmness === undefined) return null;
  if (linksOf(ctx.body).some(link => values[link] === undefined)) return null;
  return { ...values, size, shrinkage, laidSize, grams, firmness };
};

const without = (pins: PartialChain, link: ChainQuantity): PartialChain =>
  Object.fromEntries(CHAIN.filter(l => l !== link && pins[l] !== undefined).map(l => [l, pins[l]]));

const waysOut = (pins: PartialChain, involved: readonly ChainQuantity[], ctx: ChainContext): PinRemedy[] =>
  involved.flatMap(link => {
    const pinned = pins[link];
    const { values, breaks } = propagate(without(pins, link), ctx);
    const needs = values[link];
    return pinned === undefined || needs === undefined || breaks ? [] : [{ link, pinned, needs }];
  });

/**
 * Solves the chain size – shrinkage – laid size – grams – thickness – firmness from any set of pins, both ways.
 * @param pins the known links; all > 0, shrinkage in [0, 0.95]
 * @returns every link when the pins fix them; else which links are free, or which pins disagree and by how much.
 * Source: definitions; solved by propagation, and monotone root-finding where two links are unknown at once.
 * @example pad ⌀ 400 mm, s 0.33, t 8 mm, ρ 0.25, 4 layers → laid 597.0 mm, 259.1 g
 */
export const solveChain = (pins: PartialChain, ctx: ChainContext): ChainSolution => {
  const spread = propagate(pins, ctx);
  const { via } = spread;
  if (spread.breaks)
    return {
      status: 'disagree',
      via,
      values: spread.values,
      pins: spread.breaks.pins,
      waysOut: waysOut(pins, spread.breaks.pins, ctx),
    };
  const values = full(spread.values, ctx);
  return values
    ? { status: 'solved', via, values }
    : { status: 'free', via, values: spread.values, free: spread.free };
};
