import type { Equation } from '../chain/equations';
import type { ChainQuantity } from '../chain/quantities';
import { areaKept } from '../shrinkage/areaKept';
import type { Dimension } from '../units/units';
import type { Plan } from './makePlan';
import type { PlanInput } from './planInput';
import { USUAL } from './usual';

/** Where a figure came from. */
export type Origin = 'pinned' | 'given' | 'usual' | 'follows' | 'assumed' | 'common practice' | 'form';

/** A link of the chain; or A the laid area, V the volume, kept the share of area left, eta the share of wool that stays. */
export type FormulaPart = ChainQuantity | 'A' | 'V' | 'kept' | 'eta' | 'faces' | 'pieces';

/** One input of a formula. `symbol` is the letter used in it. */
export interface FormulaInput {
  readonly symbol: string;
  /** What it is: a link of the chain, or a part of a formula beside them. */
  readonly part: FormulaPart;
  readonly value: number;
  readonly dimension: Dimension | 'area' | 'volume' | 'plain';
  readonly origin: Origin;
}

/** Why a figure is what it is: the relation it was found from, and what went in. A figure that is held has neither. */
export interface Explanation {
  readonly formula: string | null;
  readonly inputs: readonly FormulaInput[];
  readonly origin: Origin;
}

/** Letter and dimension of each link in formulas. */
const SYMBOLS: Readonly<Record<ChainQuantity, readonly [string, Dimension]>> = {
  size: ['k', 'length'],
  shrinkage: ['s', 'share'],
  laidSize: ['L', 'length'],
  grams: ['G', 'mass'],
  arealLaid: ['g₀', 'areal'],
  layers: ['n', 'count'],
  gramsPerLayer: ['m', 'mass'],
  thickness: ['t', 'thickness'],
  firmness: ['ρ', 'density'],
};

type Formula = readonly [string, ...FormulaPart[]];

/** How each link is found from each relation it stands in. */
const FORMULAS: Readonly<Record<ChainQuantity, Readonly<Partial<Record<Equation['name'], Formula>>>>> = {
  size: {
    laying: ['k = L · (1 − s)', 'laidSize', 'shrinkage'],
    wool: ['k at which A(k) = G / g₀', 'grams', 'arealLaid', 'A'],
    solid: ['k at which V(k) = η · G / ρ', 'grams', 'firmness', 'V', 'eta'],
  },
  shrinkage: {
    laying: ['s = 1 − k / L', 'size', 'laidSize'],
    wall: [
      's at which kept area = η · g₀ / (t · 1000 · ρ)',
      'arealLaid',
      'thickness',
      'firmness',
      'kept',
      'eta',
    ],
    wool: ['s at which A(s) = G / g₀', 'grams', 'arealLaid', 'A'],
    solid: ['s at which V(s) = η · G / ρ', 'grams', 'firmness', 'V', 'eta'],
  },
  laidSize: { laying: ['L = k / (1 − s)', 'size', 'shrinkage'] },
  grams: {
    wool: ['G = g₀ · A', 'arealLaid', 'A'],
    piles: ['G = sides · n · m', 'layers', 'gramsPerLayer', 'faces'],
    solid: ['G = ρ · V / η', 'firmness', 'V', 'eta'],
  },
  arealLaid: {
    wall: ['g₀ = t · 1000 · ρ · kept area / η', 'thickness', 'firmness', 'kept', 'eta'],
    wool: ['g₀ = G / A', 'grams', 'A'],
  },
  layers: { piles: ['n = G / (sides · m)', 'grams', 'gramsPerLayer', 'faces'] },
  gramsPerLayer: { piles: ['m = G / (sides · n)', 'grams', 'layers', 'faces'] },
  thickness: { wall: ['t = η · g₀ / (kept area · 1000 · ρ)', 'arealLaid', 'firmness', 'kept', 'eta'] },
  firmness: {
    wall: ['ρ = η · g₀ / (kept area · 1000 · t)', 'arealLaid', 'thickness', 'kept', 'eta'],
    solid: ['ρ = η · G / V', 'grams', 'V', 'eta'],
  },
};

/** Whether a link still has the figure that its form began with. What a shrinkage rests on is told by the piece. */
const isUsual = (input: PlanInput, { kind }: Plan, link: ChainQuantity): boolean => {
  const { measures } = input.form;
  if (link === 'size') return Object.entries(kind.defaults).every(([id, usual]) => measures[id] === usual);
  if (link === 'layers') return input.chain.layers === kind.usual.layers;
  if (link === 'thickness') return input.chain.thickness === kind.usual.thicknessMm;
  return link === 'firmness' && input.chain.firmness === kind.usual.firmness;
};

/** Where the figure of a link comes from. */
export const originOf = (input: PlanInput, plan: Plan, link: ChainQuantity): Origin => {
  if (input.pinned.includes(link)) return 'pinned';
  if (input.given.includes(link)) return isUsual(input, plan, link) ? 'usual' : 'given';
  return plan.assumed.includes(link) ? 'assumed' : 'follows';
};

const inputOf = (input: PlanInput, plan: Plan, part: FormulaPart): FormulaInput => {
  switch (part) {
    case 'A':
      return {
        symbol: 'A',
        part,
        value: plan.woolM2 * input.pieces,
        dimension: 'area',
        origin: 'form',
      };
    case 'V':
      return {
        symbol: 'V',
        part,
        value: plan.woolCm3 * input.pieces,
        dimension: 'volume',
        origin: 'form',
      };
    case 'pieces':
      return {
        symbol: 'pieces',
        part,
        value: input.pieces,
        dimension: 'plain',
        origin: 'given',
      };
    case 'kept':
      return {
        symbol: 'kept area',
        part,
        value: areaKept(plan.shrinkage),
        dimension: 'plain',
        origin: 'follows',
      };
    case 'eta':
      return {
        symbol: 'η',
        part,
        value: input.keptShare,
        dimension: 'plain',
        origin: input.keptShare === USUAL.keptShare ? 'common practice' : 'given',
      };
    case 'faces':
      return {
        symbol: 'sides',
        part,
        value: plan.kind.faces,
        dimension: 'plain',
        origin: 'form',
      };
    default: {
      const [symbol, dimension] = SYMBOLS[part];
      const value = plan.values[part] ?? Number.NaN;
      return { symbol, part, value, dimension, origin: originOf(input, plan, part) };
    }
  }
};

/** Explains one link of a plan: the formula it was found from, and its inputs with their origin. */
export const explain = (input: PlanInput, plan: Plan, link: ChainQuantity): Explanation => {
  const origin = originOf(input, plan, link);
  const via = plan.solution.via[link];
  const found = via === undefined ? undefined : FORMULAS[link][via];
  if (!found) return { formula: null, inputs: [], origin };
  const [formula, ...parts] = found;
  const all: readonly FormulaPart[] =
    parts.includes('faces') && input.pieces > 1 ? [...parts, 'pieces'] : parts;
  return {
    formula: all === parts ? formula : formula.replace('sides', 'pieces · sides'),
    inputs: all.map(part => inputOf(input, plan, part)),
    origin,
  };
};
