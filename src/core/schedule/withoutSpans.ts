import type { Span } from './task';

/**
 * Hours with some of them taken out: those of a class.
 * @param hours in order, none overlapping  @param taken in any order
 * @example withoutSpans([{ start: 0, end: 100 }], [{ start: 40, end: 60 }]) // 0–40 and 60–100
 */
export const withoutSpans = (hours: readonly Span[], taken: readonly Span[]): readonly Span[] =>
  taken.reduce<readonly Span[]>(
    (left, t) =>
      left.flatMap(h =>
        t.end <= h.start || t.start >= h.end
          ? [h]
          : [
              { start: h.start, end: t.start },
              { start: t.end, end: h.end },
            ].filter(s => s.end > s.start),
      ),
    hours,
  );
