import type { UsualWork } from './actSpec';

/**
 * How far the amount of work done by feel may be off, as a share of it: the deviation of its logarithm. Common practice; nothing was
 * measured.
 */
export const BY_FEEL = 0.5;

/**
 * How much is taken where nobody counted: what this maker usually does at once of an act, else what is usual.
 * @param practice what is usual, in the act's own unit
 */
export const byFeelOf = (kind: string, practice: number, { amounts }: UsualWork): number => {
  const own = amounts?.[kind] ?? practice;
  // Told as one would tell it: to the half minute, and whole from ten on.
  return own < 10 ? Math.max(0.5, Math.round(2 * own) / 2) : Math.round(own);
};
