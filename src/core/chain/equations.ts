import { findRootNear } from '../numeric/findRoot';
import { type AxisShrinkage, shrinkage } from '../quantity';
import { areaKept } from '../shrinkage/areaKept';
import { AREA_RELATIVE, MAX_SHRINKAGE } from '../tolerances';
import { CHAIN, type ChainContext, type ChainQuantity, type PartialChain } from './quantities';

/** One relation of the chain. `residual` is ln(left/right): 0 when it holds, 0.01 when it is 1 % out. */
export interface Equation {
  readonly name: 'laying' | 'wool' | 'wall' | 'piles' | 'solid';
  readonly links: readonly ChainQuantity[];
  readonly residual: (values: PartialChain) => number;
  /** The one unknown link from the others, or null when nothing in range does it. */
  readonly solveFor: (unknown: ChainQuantity, values: PartialChain) => number | null;
}

/** Shrinkage of both axes from the shrinkage lengthwise and the ratio across:along. */
export const axisShrinkage = (along: number, acrossRatio: number): AxisShrinkage => ({
  along: shrinkage(along),
  across: shrinkage(along * acrossRatio),
});

/** Largest shrinkage lengthwise that keeps both axes within what the solver looks for. */
export const largestAlong = (acrossRatio: number): number => MAX_SHRINKAGE / Math.max(1, acrossRatio);

const at = (values: PartialChain, link: ChainQuantity): number => values[link] ?? Number.NaN;

type Solver = (v: PartialChain) => number | null;

const equation = (
  name: Equation['name'],
  residual: (v: PartialChain) => number,
  solvers: Readonly<Partial<Record<ChainQuantity, Solver>>>,
): Equation => ({
  name,
  links: CHAIN.filter(link => solvers[link] !== undefined),
  residual,
  solveFor: (unknown, values) => solvers[unknown]?.(values) ?? null,
});

const positive = (x: number): number | null => (x > 0 && Number.isFinite(x) ? x : null);

type Residual = (v: PartialChain) => number;

/** A shrinkage from which the search begins: a common one (common practice). */
const BEGINS_AT = 0.33;

/** The shrinkage at which a residual vanishes. Looked for over −ln(1−s), where the area is nearly straight. */
const searchShrinkage =
  (high: number, residual: Residual): Solver =>
  v => {
    const near = -Math.log(1 - Math.min(BEGINS_AT, high));
    const range = { low: 0, high: -Math.log(1 - high), near, slope: -2 };
    const log = findRootNear(x => residual({ ...v, shrinkage: 1 - Math.exp(-x) }), range, AREA_RELATIVE);
    return log === null ? null : 1 - Math.exp(-log);
  };

/** The size at which a residual vanishes, looked for over the logarithm, where an area or a volume is nearly straight. */
const searchSize =
  (nominalMm: number, residual: Residual, slope: number): Solver =>
  v => {
    const near = Math.log(nominalMm);
    for (const reach of [1, 7]) {
      const range = { low: near - reach, high: near + reach, near, slope };
      const log = findRootNear(x => residual({ ...v, size: Math.exp(x) }), range, AREA_RELATIVE);
      if (log !== null) return Math.exp(log);
    }
    return null;
  };

/** Grams of a solid: G = pieces·ρ·V/η. Source: definition of density. */
const solidEquation = (ctx: ChainContext): Equation => {
  const volume = (v: PartialChain): number =>
    ctx.volumeCm3(at(v, 'size'), axisShrinkage(v.shrinkage ?? 0, ctx.acrossRatio));
  const wool = (v: PartialChain): number => (ctx.pieces * at(v, 'firmness') * volume(v)) / ctx.keptShare;
  const residual = (v: PartialChain): number => Math.log(at(v, 'grams') / wool(v));
  return equation('solid', residual, {
    grams: v => positive(wool(v)),
    firmness: v => positive((ctx.keptShare * at(v, 'grams')) / (ctx.pieces * volume(v))),
    size: searchSize(ctx.nominalSizeMm, residual, -3),
    ...(ctx.volumeNeedsShrinkage
      ? { shrinkage: searchShrinkage(largestAlong(ctx.acrossRatio), residual) }
      : {}),
  });
};

/**
 * The relations of a sheet: laying (laid = size/(1−s)), wool (G = g0·A0), wall (t = η·g0/((1−sx)(1−sy)·1000·ρ)) and
 * piles (G = faces·layers·grams per layer); grams and piles for all the pieces that are made. A solid has laying, and
 * its grams from its volume. Source: definitions of areal weight and density.
 */
export const chainEquations = (ctx: ChainContext): readonly Equation[] => {
  const smax = largestAlong(ctx.acrossRatio);
  const kept = (v: PartialChain): number => areaKept(axisShrinkage(at(v, 'shrinkage'), ctx.acrossRatio));
  const area = (v: PartialChain): number =>
    ctx.pieces * ctx.laidAreaM2(at(v, 'size'), axisShrinkage(at(v, 'shrinkage'), ctx.acrossRatio));

  const laying = (v: PartialChain): number =>
    Math.log(at(v, 'laidSize') / (at(v, 'size') / (1 - at(v, 'shrinkage'))));
  const wool = (v: PartialChain): number => Math.log(at(v, 'grams') / (at(v, 'arealLaid') * area(v)));
  const wallThickness = (v: PartialChain): number =>
    (ctx.keptShare * at(v, 'arealLaid')) / (kept(v) * 1000 * at(v, 'firmness'));
  const wall = (v: PartialChain): number => Math.log(at(v, 'thickness') / wallThickness(v));
  const pile = (v: PartialChain): number => ctx.pieces * ctx.faces * at(v, 'layers') * at(v, 'gramsPerLayer');

  const layingEquation = equation('laying', laying, {
    size: v => positive(at(v, 'laidSize') * (1 - at(v, 'shrinkage'))),
    laidSize: v => positive(at(v, 'size') / (1 - at(v, 'shrinkage'))),
    shrinkage: v => {
      const s = 1 - at(v, 'size') / at(v, 'laidSize');
      return s >= 0 && s <= smax ? s : null;
    },
  });
  if (ctx.body === 'solid') return [layingEquation, solidEquation(ctx)];
  return [
    layingEquation,
    equation('wall', wall, {
      thickness: v => positive(wallThickness(v)),
      arealLaid: v => positive((at(v, 'thickness') * 1000 * at(v, 'firmness') * kept(v)) / ctx.keptShare),
      firmness: v => positive((ctx.keptShare * at(v, 'arealLaid')) / (kept(v) * 1000 * at(v, 'thickness'))),
      shrinkage: searchShrinkage(smax, wall),
    }),
    equation('wool', wool, {
      grams: v => positive(at(v, 'arealLaid') * area(v)),
      arealLaid: v => positive(at(v, 'grams') / area(v)),
      size: searchSize(ctx.nominalSizeMm, wool, -2),
      shrinkage: searchShrinkage(smax, wool),
    }),
    equation('piles', v => Math.log(at(v, 'grams') / pile(v)), {
      grams: v => positive(pile(v)),
      layers: v => positive(at(v, 'grams') / (ctx.pieces * ctx.faces * at(v, 'gramsPerLayer'))),
      gramsPerLayer: v => positive(at(v, 'grams') / (ctx.pieces * ctx.faces * at(v, 'layers'))),
    }),
  ];
};
