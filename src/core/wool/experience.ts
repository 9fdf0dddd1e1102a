/** Shrinkage that finished pieces of one wool have shown, per direction. */
export interface Experience {
  readonly pieces: number;
  readonly along: Spread;
  readonly across: Spread;
}

export interface Spread {
  readonly mean: number;
  readonly least: number;
  readonly most: number;
}

const spread = (values: readonly number[]): Spread => ({
  mean: values.reduce((a, b) => a + b, 0) / values.length,
  least: Math.min(...values),
  most: Math.max(...values),
});

/**
 * What a wool has done so far: the plain mean and range of its finished pieces. Null when there are none.
 * @param results measured linear shrinkage of each finished piece; a direction not measured is null and left out
 */
export const experience = (
  results: ReadonlyArray<{ readonly along: number | null; readonly across: number | null }>,
): Experience | null => {
  const both = results.flatMap(r =>
    r.along === null || r.across === null ? [] : [{ along: r.along, across: r.across }],
  );
  if (both.length === 0) return null;
  return {
    pieces: both.length,
    along: spread(both.map(r => r.along)),
    across: spread(both.map(r => r.across)),
  };
};
