import { workOfAct } from '../acts/act';
import type { FeltTruth } from './rehearse';

/**
 * How far a felt came since the rehearsal began, act for act: the work by then, reference rolls, and its share of the way.
 * @param begunSeq up to which place of its log it was there when it began
 */
export const curveOf = (
  { entries, ways }: FeltTruth,
  begunSeq: number,
): ReadonlyArray<readonly [number, number]> => {
  let work = 0;
  const before = entries.findLastIndex(e => e.seq <= begunSeq);
  return [
    [0, ways[before]?.progress ?? 0] as const,
    ...entries.flatMap(({ act, seq }, n) => {
      if (seq <= begunSeq) return [];
      work += workOfAct(act, 'hot')?.rolls ?? 0;
      return [[work, ways[n]?.progress ?? 0] as const];
    }),
  ];
};

/** How far each line is off its size, as a share of that: below nought where it is too short. */
export const offSizes = ({ lines, shares }: FeltTruth): readonly number[] =>
  lines.map((l, i) => (l.laidMm * (shares[i] ?? 1)) / l.wantedMm - 1);

/**
 * Places of a log to play on from: its beginning, and others as far apart as can be, its end left out.
 * @param begun entries before it began, ≥ 0  @param end entries of it all, ≥ begun  @param most so many besides the beginning, ≥ 1
 */
export const pointsOf = (begun: number, end: number, most: number): readonly number[] => {
  const steps = end - begun;
  const n = Math.max(0, Math.min(most, steps - 1));
  return Array.from({ length: n + 1 }, (_, i) => begun + Math.round((i * steps) / (n + 1)));
};
