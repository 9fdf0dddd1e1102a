import { feltingRecordOf, formForModel } from '../felting/feltingRecordOf';
import type { Prior } from '../felting/feltingModel';
import { infer } from '../felting/infer';
import type { Particle } from '../felting/likelihood';
import type { FormPlan } from '../forms/formKind';
import { isFelt } from '../forms/fits';
import { entriesInForce } from '../log/entriesInForce';
import type { LogEntry } from '../log/entry';
import type { Random } from '../numeric/random';
import { chanceAt } from './chanceAt';
import type { Hidden } from './hidden';

const drawOf = (random: Random, weights: Float64Array): number => {
  let left = random() * weights.reduce((a, b) => a + b, 0);
  return Math.max(
    0,
    weights.findIndex(w => (left -= w) <= 0),
  );
};

/** Up to where a log is known: its last measuring, or look at the drawing; what was done since is done again by the felt that is drawn. */
const knownTo = (log: readonly LogEntry[]): number =>
  entriesInForce(log).findLast(({ act }) => act.kind === 'measure' || act.kind === 'compare')?.seq ?? 0;

/**
 * Felts that a real piece may be, drawn from what the model makes of its log: what was measured of it holds for all of them, more or less. The
 * first is the one that is gone on with. Where nothing was measured, they are drawn from what was believed beforehand.
 * @param of.count how many, ≥ 1  @param of.seed any whole number
 */
export const feltsOf = (
  log: readonly LogEntry[],
  of: { readonly form: FormPlan; readonly belief: Prior; readonly seed: number; readonly count: number },
): readonly Hidden[] => {
  const { form, belief, seed, count } = of;
  const record = feltingRecordOf(log, formForModel(form), belief);
  const { particles, weights } = infer(record);
  const seq = knownTo(log);
  const lines = form.gauges.length + form.fits.filter(isFelt).length;
  return Array.from({ length: count }, (_, n): Hidden => {
    const own = { seed: seed + n, belief };
    const felt: Particle | undefined = particles[drawOf(chanceAt(seed, 'felt', n + 1), weights)];
    if (!felt || seq === 0) return own;
    // Lines that are only there once it is open were never laid by themselves: they begin where they were planned.
    const starts =
      felt.starts.length === 0 ? [] : Array.from({ length: lines }, (_s, g) => felt.starts[g] ?? 0);
    return { ...own, goesOn: { seq, felt: { ...felt, starts } } };
  });
};
