import { useGrowing } from './useGrowing';

/**
 * Counts up to a number, one a frame: parts that are shown for the first time come one after the other, and between two of them the page answers.
 * @returns how many of the parts are shown by now, the first at once
 */
export const useSteps = (of: number): number => useGrowing(of, 1);
