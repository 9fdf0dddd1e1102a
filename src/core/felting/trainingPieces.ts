/** More pieces than these hardly say more. */
const MOST = 24;

/** A piece as far as it is asked whether another can learn from it. */
export interface TrainingPiece {
  readonly id: string;
  readonly woolId: string | null;
  readonly deletedAt: string | null;
  readonly finishedAt: string | null;
}

/**
 * The finished pieces that say most of a piece: of the same wool first, then of the same breed, the latest first; at most 24.
 * @param breedIdOf id of a wool's breed; empty where it is not known
 */
export const trainingPiecesOf = <T extends TrainingPiece>(
  piece: Pick<TrainingPiece, 'id' | 'woolId'>,
  all: readonly T[],
  breedIdOf: (woolId: string | null) => string,
): readonly T[] => {
  const breed = breedIdOf(piece.woolId);
  const nearness = ({ woolId }: T): number =>
    woolId === piece.woolId ? 2 : breed !== '' && breedIdOf(woolId) === breed ? 1 : 0;
  const finishedAt = (p: T): string => p.finishedAt ?? '';
  return all
    .filter(p => p.deletedAt === null && p.id !== piece.id && p.woolId !== null && p.finishedAt !== null)
    .map(p => ({ p, near: nearness(p), at: finishedAt(p) }))
    .toSorted((a, b) => b.near - a.near || (a.at < b.at ? 1 : -1))
    .slice(0, MOST)
    .map(({ p }) => p);
};
