import { measuredPieces, readingId } from '../log/pair';
import type { GaugeStand } from './forecast';

/** Stands of every piece alike, side by side: A of the first, A of the second, then B. */
export const standsOfAll = (
  stands: readonly GaugeStand[],
  now: Readonly<Record<string, number | null>>,
  pieces: number,
): readonly GaugeStand[] => {
  const count = measuredPieces(pieces);
  if (count === 1) return stands;
  return stands.flatMap(s =>
    Array.from({ length: count }, (_, i): GaugeStand => {
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
