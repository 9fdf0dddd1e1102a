import type { FormKind, Measures } from './formKind';

/** All measures of a form k times as large; those that do not grow with the piece stay. */
export const scaleMeasures = (kind: FormKind, measures: Measures, k: number): Measures =>
  Object.fromEntries(
    kind.specs(measures).map(spec => {
      const value = measures[spec.id] ?? Number.NaN;
      return [spec.id, spec.scales ? value * k : value];
    }),
  );
