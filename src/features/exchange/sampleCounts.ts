import type { Piece } from '../../records/piece';

/** How much of the sample is still here. */
export const sampleCounts = (pieces: readonly Piece[]): { readonly pieces: number } => ({
  pieces: pieces.filter(p => p.sample && p.deletedAt === null).length,
});
