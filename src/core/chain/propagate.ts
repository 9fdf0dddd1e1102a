import { findRoot } from '../numeric/findRoot';
import { PIN_AGREEMENT } from '../tolerances';
import { type Equation, chainEquations, largestAlong } from './equations';
import { CHAIN, type ChainContext, type ChainQuantity, linksOf, type PartialChain } from './quantities';

/** Where the relations break: the equation, and every pin that led to it. */
export interface Contradiction {
  readonly equation: Equation['name'];
  readonly pins: readonly ChainQuantity[];
}

/** The relation by which each link that follows was found. */
export type SolvedBy = Readonly<Partial<Record<ChainQuantity, Equation['name']>>>;

export interface Propagation {
  readonly values: PartialChain;
  readonly via: SolvedBy;
  readonly free: readonly ChainQuantity[];
  readonly breaks: Contradiction | null;
  /** Equations that are wholly known but were not needed to find anything, with how far out they are. */
  readonly spare: ReadonlyArray<{ equation: Equation; residual: number }>;
}

type Support = ReadonlyMap<ChainQuantity, ReadonlySet<ChainQuantity>>;

const supportOf = (links: readonly ChainQuantity[], support: Support): ChainQuantity[] => {
  const all = new Set<ChainQuantity>();
  for (const link of links) for (const pin of support.get(link) ?? []) all.add(pin);
  return CHAIN.filter(link => all.has(link));
};

/** Carries pins through the equations, one unknown at a time, noting which pins each value rests on. */
const carry = (pins: PartialChain, equations: readonly Equation[], ctx: ChainContext): Propagation => {
  const values: Partial<Record<ChainQuantity, number>> = { ...pins };
  const via: Partial<Record<ChainQuantity, Equation['name']>> = {};
  const support = new Map<ChainQuantity, ReadonlySet<ChainQuantity>>();
  for (const link of CHAIN) if (pins[link] !== undefined) support.set(link, new Set([link]));
  const open = new Set(equations);
  const spare: Array<{ equation: Equation; residual: number }> = [];
  let moved = true;
  let breaks: Contradiction | null = null;
  while (moved && !breaks) {
    moved = false;
    for (const eq of open) {
      const unknown = eq.links.filter(link => values[link] === undefined);
      const [only] = unknown;
      if (unknown.length > 1) continue;
      open.delete(eq);
      if (only === undefined) {
        const residual = eq.residual(values);
        spare.push({ equation: eq, residual });
        if (!(Math.abs(residual) <= PIN_AGREEMENT))
          breaks ??= { equation: eq.name, pins: supportOf(eq.links, support) };
        continue;
      }
      const pinsBehind = supportOf(eq.links, support);
      const found = eq.solveFor(only, values);
      if (found === null) {
        breaks ??= { equation: eq.name, pins: pinsBehind };
        continue;
      }
      values[only] = found;
      via[only] = eq.name;
      support.set(only, new Set(pinsBehind));
      moved = true;
    }
  }
  return { values, via, free: linksOf(ctx.body).filter(link => values[link] === undefined), breaks, spare };
};

/** Least change of a residual over all shrinkages for the shrinkage to be readable from it at all. */
const READABLE = 0.5;
/** Shrinkages at which a residual is looked at where its ends do not tell. */
const LOOKS = 24;
/** Of two shrinkages that would do, the one nearer to this is taken: a common one (common practice). */
const COMMON = 0.33;

/** Two neighbouring shrinkages between which a residual changes its sign; of several the most common. */
const crossing = (looks: ReadonlyArray<readonly [number, number]>): { low: number; high: number } | null => {
  const found = looks.flatMap(([high, after], i) => {
    const [low, before] = looks[i - 1] ?? [high, after];
    return Math.sign(before) === Math.sign(after) ? [] : [{ low, high }];
  });
  const off = (r: { low: number; high: number }): number => Math.abs((r.low + r.high) / 2 - COMMON);
  return found.toSorted((x, y) => off(x) - off(y))[0] ?? null;
};

/**
 * Guesses the shrinkage, carries it, and closes on the guess at which the spare equation holds.
 * Needed where the shrinkage and another link are both unknown, e.g. a resist already cut and the wool you have left.
 * @returns null where the pins agree and leave the shrinkage open: a piece as heavy as it is large and dense may shrink as it likes
 */
const tear = (pins: PartialChain, ctx: ChainContext, equations: readonly Equation[]): Propagation | null => {
  // What is known without the shrinkage holds whatever it is, and tells nothing of it.
  const open = equations.filter(eq => eq.links.some(link => pins[link] === undefined));
  const carried = (s: number): Propagation => carry({ ...pins, shrinkage: s }, open, ctx);
  const spareAt = (s: number): number => carried(s).spare[0]?.residual ?? Number.NaN;
  const highest = largestAlong(ctx.acrossRatio);
  const shrinkages = (count: number): number[] =>
    Array.from({ length: count + 1 }, (_, i) => (highest * i) / count);
  const look = (at: readonly number[]): ReadonlyArray<readonly [number, number]> =>
    at.map(s => [s, spareAt(s)] as const).filter(([, residual]) => Number.isFinite(residual));
  const ends = look([0, highest]);
  const looks = ends.length === 2 && crossing(ends) ? ends : look(shrinkages(LOOKS));
  const [first] = looks;
  if (!first) return null;
  const residuals = looks.map(([, residual]) => residual);
  const isReadable = Math.max(...residuals) - Math.min(...residuals) >= READABLE;
  const range = crossing(looks);
  if (isReadable && range) {
    const s = findRoot(spareAt, range);
    if (s !== null) {
      const closed = carried(s);
      return { ...closed, via: { ...closed.via, shrinkage: closed.spare[0]?.equation.name ?? 'wool' } };
    }
  }
  if (range || residuals.some(r => Math.abs(r) <= PIN_AGREEMENT)) return null;
  const involved = CHAIN.filter(link => pins[link] !== undefined && link !== 'layers');
  const equation = carried(first[0]).spare[0]?.equation.name ?? 'wool';
  return { values: pins, via: {}, free: [], spare: [], breaks: { equation, pins: involved } };
};

/** All that follows from a set of pins. */
export const propagate = (pins: PartialChain, ctx: ChainContext): Propagation => {
  const equations = chainEquations(ctx);
  const direct = carry(pins, equations, ctx);
  if (direct.breaks || direct.free.length === 0 || direct.values.shrinkage !== undefined) return direct;
  const torn = tear(direct.values, ctx, equations);
  return torn ? { ...torn, via: { ...direct.via, ...torn.via } } : direct;
};
