import type { FormKind, Measures } from './formKind';

/**
 * Whether a wall leaves room inside: every measure that was taken over it, and is not nothing, is still something.
 * @param thicknessMm of the finished wall
 */
export const hasRoomInside = (kind: FormKind, measures: Measures, thicknessMm: number): boolean =>
  kind.specs(measures).every(({ id, outside = 0 }) => {
    const value = measures[id] ?? 0;
    return value === 0 || outside === 0 || value > outside * thicknessMm;
  });

/**
 * Inside measures from those taken over the wall: each loses as many wall thicknesses as its spec says (a width or
 * diameter two, a girth 2π). A measure of nothing stays nothing.
 * @param thicknessMm of the finished wall
 */
export const insideMeasures = (kind: FormKind, measures: Measures, thicknessMm: number): Measures => ({
  ...measures,
  ...Object.fromEntries(
    kind.specs(measures).flatMap(spec => {
      const value = measures[spec.id] ?? 0;
      return spec.outside === undefined || value === 0
        ? []
        : [[spec.id, Math.max(0, value - spec.outside * thicknessMm)]];
    }),
  ),
});
