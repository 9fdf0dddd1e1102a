import type { Polygon } from '../outline/polygon';
import { type Evenness, evenness } from './evenness';
import type { Hand } from './hand';
import type { Field } from './field';
import { type Layer, layOut } from './layOut';
import { seeded } from '../numeric/random';
import type { Rows } from './shingle';

const mean = (all: readonly Evenness[], of: (e: Evenness) => number): number =>
  all.reduce((sum, e) => sum + of(e), 0) / all.length;

/** What is laid out by chance. */
export interface LayoutAsk {
  /** Outlines of the wool as it lies on the table, mm. */
  readonly rings: readonly Polygon[];
  readonly layers: readonly Layer[];
  readonly hand: Hand;
  /** How rows are laid; null for wisps at random. */
  readonly rows: Rows | null;
  readonly plannedGsm: number;
  /** The same seed gives the same answer. */
  readonly seed: number;
  /** How many layouts are simulated, whole, ≥ 1; the figures are their means, the map is of the first. */
  readonly runs: number;
}

/**
 * Lays the same plan out several times by chance and reads each: the first as a map, all of them as figures.
 * @param onRun told after each run how many are done
 */
export const simulateLayout = (
  of: LayoutAsk,
  onRun?: (done: number) => void,
): { readonly field: Field; readonly evenness: Evenness } => {
  const fields = Array.from({ length: Math.max(1, of.runs) }, (_, run) => {
    const field = layOut({ ...of, random: seeded(of.seed + run) });
    onRun?.(run + 1);
    return { field, read: evenness(field, of.plannedGsm) };
  });
  const all = fields.map(f => f.read);
  const [first] = fields;
  return {
    field: first?.field ?? layOut({ ...of, layers: [], random: seeded(of.seed) }),
    evenness: {
      mean: mean(all, e => e.mean),
      variation: mean(all, e => e.variation),
      thinShare: mean(all, e => e.thinShare),
      holes: mean(all, e => e.holes),
      edgeShare: mean(all, e => e.edgeShare),
    },
  };
};
