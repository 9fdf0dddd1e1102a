import { findRoot } from '../numeric/findRoot';
import { type FormKind, measure, type Measures } from './formKind';

/**
 * All measures of a form k times as large; those that do not grow with the piece stay. A measure that is not asked for
 * at the moment is kept as it is.
 */
export const scaleMeasures = (kind: FormKind, measures: Measures, k: number): Measures => ({
  ...measures,
  ...Object.fromEntries(
    kind.specs(measures).map(spec => {
      const value = measure(measures, spec.id);
      return [spec.id, spec.scales ? value * k : value];
    }),
  ),
});

/** A size is met when it is this near, as a share. */
const NEAR = 1e-12;

/**
 * The measures at which a form has a size. Where every measure grows that is one multiplication; allowances, which
 * stay as they are, make it a search.
 * @param sizeMm finished mm of the form's reference measure  @param factor laid/finished along
 */
export const measuresAtSize = (
  kind: FormKind,
  measures: Measures,
  { sizeMm, factor }: { readonly sizeMm: number; readonly factor: number },
): Measures => {
  const sizeAt = (k: number): number => kind.size.of(scaleMeasures(kind, measures, k), factor);
  const simple = sizeMm / sizeAt(1);
  if (!(Math.abs(sizeAt(simple) / sizeMm - 1) > NEAR)) return scaleMeasures(kind, measures, simple);
  const off = (log: number): number => sizeAt(Math.exp(log)) / sizeMm - 1;
  const start = Math.log(simple);
  const log =
    findRoot(off, { low: start - 1, high: start + 1 }, NEAR) ??
    findRoot(off, { low: start - 9, high: start + 3 }, NEAR);
  return scaleMeasures(kind, measures, log === null ? simple : Math.exp(log));
};
