/**
 * What the pieces of a project weigh together, g; null where one is not chosen or was not weighed.
 * @param gramsOf dry weight of one piece, by its id; null where it was not weighed
 */
export const projectGrams = (
  pieces: ReadonlyArray<{ readonly pieceId: string | null; readonly count: number }>,
  gramsOf: (pieceId: string) => number | null,
): number | null => {
  const each = pieces.map(({ pieceId, count }) => {
    const grams = pieceId === null ? null : gramsOf(pieceId);
    return grams === null ? null : count * grams;
  });
  return each.length > 0 && each.every(g => g !== null) ? each.reduce((sum, g) => sum + g, 0) : null;
};
