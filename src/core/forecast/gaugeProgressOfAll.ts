import { measuredPieces, readingId } from '../log/pair';
import type { GaugeProgress } from './forecast';

/** Stands of every piece alike, side by side: A of the first, A of the second, then B. */
export const gaugeProgressOfAll = (
  gaugeProgress: readonly GaugeProgress[],
  now: Readonly<Record<string, number | null>>,
  pieces: number,
): readonly GaugeProgress[] => {
  const count = measuredPieces(pieces);
  if (count === 1) return gaugeProgress;
  return gaugeProgress.flatMap(s =>
    Array.from({ length: count }, (_, i): GaugeProgress => {
      const id = readingId(s.gauge.id, i + 1);
      const read = now[id] ?? null;
      return {
        ...s,
        gauge: { ...s.gauge, id, name: `${s.gauge.name}, piece ${i + 1}` },
        nowMm: read ?? s.nowMm,
        measured: read !== null,
      };
    }),
  );
};
