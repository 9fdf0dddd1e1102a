/** So many pieces alike are measured side by side; of a larger batch one stands for all. */
const MOST = 4;
/** Pieces of a pair that differ by more than this are told of, as a share of length (common practice). */
const UNEQUAL = 0.02;

type Readings = Readonly<Record<string, number | null>>;

/** How many of the pieces alike are measured. */
export const measuredPieces = (pieces: number): number => (pieces <= MOST ? pieces : 1);

/** Under which name a gauge of one of the pieces alike stands in a reading: `A` of the first, `A/2` of the second. */
export const readingId = (gaugeId: string, piece: number): string =>
  piece === 1 ? gaugeId : `${gaugeId}/${piece}`;

/** The mean of a gauge over all pieces that were read; null where none was. */
export const meanReading = (readings: Readings, gaugeId: string): number | null => {
  const read = Array.from({ length: MOST }, (_, i) => readings[readingId(gaugeId, i + 1)] ?? null).filter(
    v => v !== null,
  );
  return read.length === 0 ? null : read.reduce((sum, v) => sum + v, 0) / read.length;
};

/** How many alike that came out unequal: which is the larger, at which gauge, and by how much. */
export interface Unequal {
  readonly gaugeId: string;
  readonly larger: number;
  /** As a share of the smaller. */
  readonly by: number;
}

/** The worst difference between pieces alike, by what was last read of them; null where they are equal, or not all read. */
export const unequalIn = (gaugeIds: readonly string[], now: Readings, pieces: number): Unequal | null => {
  const count = measuredPieces(pieces);
  const found = gaugeIds.flatMap((gaugeId): Unequal[] => {
    const read = Array.from({ length: count }, (_, i) => ({
      piece: i + 1,
      mm: now[readingId(gaugeId, i + 1)] ?? null,
    })).flatMap(({ piece, mm }) => (mm === null ? [] : [{ piece, mm }]));
    const sorted = read.toSorted((a, b) => b.mm - a.mm);
    const [largest, smallest] = [sorted[0], sorted.at(-1)];
    return largest && smallest && read.length > 1
      ? [{ gaugeId, larger: largest.piece, by: largest.mm / smallest.mm - 1 }]
      : [];
  });
  const [worst] = found.toSorted((a, b) => b.by - a.by);
  return worst && worst.by > UNEQUAL ? worst : null;
};
