import type { Minute, Span, WorkHours } from './task';

/** Tiring work that lies already, so that no stretch of it grows longer than hands stand. */
export interface Strain {
  /** How long tiring work may be that begins at a time, at most `most`; 0 where hands must rest then. */
  readonly allowed: (from: Minute, most: Minute) => Minute;
  /** The next time that is worth trying, where the whole of a work does not fit at a time. */
  readonly restedAfter: (from: Minute) => Minute;
  readonly add: (span: Span) => void;
}

/** Work that hangs together: stretches with less than a rest between. */
interface Stretch {
  readonly start: Minute;
  readonly end: Minute;
  readonly worked: Minute;
}

/** Stretches of tiring work, in order; what lies closer than a rest is one. */
export const stretchesOf = (spans: readonly Span[], restMin: Minute): readonly Stretch[] => {
  const found: Stretch[] = [];
  for (const { start, end } of spans.toSorted((a, b) => a.start - b.start)) {
    const last = found.at(-1);
    if (last && start - last.end < restMin)
      found[found.length - 1] = {
        start: last.start,
        end: Math.max(last.end, end),
        worked: last.worked + end - start,
      };
    else found.push({ start, end, worked: end - start });
  }
  return found;
};

export const makeStrain = ({ sittingMin, restMin }: WorkHours): Strain => {
  const spans: Span[] = [];
  let stretches: readonly Stretch[] = [];
  return {
    allowed: (from, most) => {
      if (sittingMin === null) return most;
      // What it would hang together with: before it, and after it as far as it reaches.
      const before = stretches.find(s => s.start <= from && from - s.end < restMin);
      const used = before?.worked ?? 0;
      const after = stretches.find(s => s.start > from);
      const room = Math.min(most, sittingMin - used);
      if (!after || after.start - (from + room) >= restMin) return Math.max(0, room);
      // Either it stops a rest before what comes after, or both together are no longer than hands stand.
      const apart = Math.max(0, Math.min(room, after.start - restMin - from));
      const joined = Math.min(room, sittingMin - used - after.worked);
      return Math.max(apart, joined, 0);
    },
    restedAfter: from => {
      const held = stretches.find(s => s.end + restMin > from);
      return held ? held.end + restMin : from;
    },
    add: span => {
      spans.push(span);
      stretches = stretchesOf(spans, restMin);
    },
  };
};
