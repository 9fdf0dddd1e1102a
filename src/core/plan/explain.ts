import type { ChainQuantity } from '../chain/quantities';
import { areaKept } from '../shrinkage/areaKept';
import type { Dimension } from '../units/units';
import type { Plan } from './makePlan';
import type { PlanInput } from './planInput';

/** Where a figure came from. */
export type Origin = 'pinned' | 'given' | 'follows' | 'assumed' | 'common practice' | 'form';

/** One input of a formula. `symbol` is the letter used in it. */
export interface FormulaInput {
  readonly symbol: string;
  readonly name: string;
  readonly value: number;
  readonly dimension: Dimension | 'area' | 'plain';
  readonly origin: Origin;
}

/** Why a figure is what it is: the relation it was found from, and what went in. */
export interface Explanation {
  readonly formula: string;
  readonly inputs: readonly FormulaInput[];
  readonly origin: Origin;
}

const NAMES: Readonly<Record<ChainQuantity, readonly [string, string, Dimension]>> = {
  size: ['k', 'finished size', 'length'],
  shrinkage: ['s', 'shrinkage along', 'share'],
  laidSize: ['L', 'laid size', 'length'],
  grams: ['G', 'wool in all', 'mass'],
  arealLaid: ['g₀', 'laid weight', 'areal'],
  layers: ['n', 'layers per face', 'count'],
  gramsPerLayer: ['m', 'grams per face and layer', 'mass'],
  thickness: ['t', 'thickness', 'thickness'],
  firmness: ['ρ', 'firmness', 'density'],
};

/** The relations a figure can be read from, the first that rests on known ones being the one to show. */
const FORMULAS: Readonly<
  Record<ChainQuantity, readonly [string, ...Array<ChainQuantity | 'A' | 'kept' | 'eta' | 'faces'>]>
> = {
  size: ['k = L · (1 − s)', 'laidSize', 'shrinkage'],
  shrinkage: ['s = 1 − k / L', 'size', 'laidSize'],
  laidSize: ['L = k / (1 − s)', 'size', 'shrinkage'],
  grams: ['G = g₀ · A', 'arealLaid', 'A'],
  arealLaid: ['g₀ = t · 1000 · ρ · kept area / η', 'thickness', 'firmness', 'kept', 'eta'],
  layers: ['n = G / (faces · m)', 'grams', 'gramsPerLayer', 'faces'],
  gramsPerLayer: ['m = G / (faces · n)', 'grams', 'layers', 'faces'],
  thickness: ['t = η · g₀ / (kept area · 1000 · ρ)', 'arealLaid', 'firmness', 'kept', 'eta'],
  firmness: ['ρ = η · g₀ / (kept area · 1000 · t)', 'arealLaid', 'thickness', 'kept', 'eta'],
};

const GRAMS_FIRST = { arealLaid: ['g₀ = G / A', 'grams', 'A'] } as const;

/** Where the figure of a link comes from. */
export const originOf = (input: PlanInput, plan: Plan, link: ChainQuantity): Origin => {
  if (input.pinned.includes(link)) return 'pinned';
  if (input.given.includes(link)) return 'given';
  return plan.assumed.includes(link) ? 'assumed' : 'follows';
};

/** Explains one link of a plan: formula, inputs with their origin. */
export const explain = (input: PlanInput, plan: Plan, link: ChainQuantity): Explanation => {
  const origin = originOf(input, plan, link);
  const fromGrams = link === 'arealLaid' && originOf(input, plan, 'grams') !== 'follows';
  const [formula, ...parts] = fromGrams ? GRAMS_FIRST.arealLaid : FORMULAS[link];
  const inputs = parts.map((part): FormulaInput => {
    if (part === 'A')
      return {
        symbol: 'A',
        name: 'laid wool area, fold-over included',
        value: plan.woolM2,
        dimension: 'area',
        origin: 'form',
      };
    if (part === 'kept')
      return {
        symbol: 'kept area',
        name: '(1 − s along)(1 − s across)',
        value: areaKept(plan.shrinkage),
        dimension: 'plain',
        origin: 'follows',
      };
    if (part === 'eta')
      return {
        symbol: 'η',
        name: 'share of the wool that stays',
        value: input.keptShare,
        dimension: 'plain',
        origin: 'common practice',
      };
    if (part === 'faces')
      return {
        symbol: 'faces',
        name: 'faces laid',
        value: plan.kind.faces,
        dimension: 'plain',
        origin: 'form',
      };
    const [symbol, name, dimension] = NAMES[part];
    return {
      symbol,
      name,
      value: plan.values[part] ?? Number.NaN,
      dimension,
      origin: originOf(input, plan, part),
    };
  });
  return { formula, inputs, origin };
};
