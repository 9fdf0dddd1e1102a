import { batchOf, BATCH_PRACTICE } from '../batch/batchOf';
import type { Phase } from './practiceMinutes';
import type { Work } from './work';

/** Pieces of a work that are worked in one go. */
export interface Group {
  /** Which sitting of all, from 1: the same whatever is done already. */
  readonly key: number;
  /** How many sittings there are altogether. */
  readonly sittings: number;
  readonly count: number;
  readonly begins: Phase;
  readonly spentMin: number;
}

/** How many go into one sitting: as many balls as hands stand; of other pieces, what fits. */
const sizesOf = (work: Work, feltEach: number, sittingMin: number): readonly number[] => {
  if (work.isSolid) return batchOf(work.count).each;
  const perSitting = Math.max(1, Math.min(BATCH_PRACTICE.perSitting, Math.floor(sittingMin / feltEach)));
  const sittings = Math.ceil(work.count / perSitting);
  return Array.from(
    { length: sittings },
    (_, i) => Math.floor(work.count / sittings) + (i < work.count % sittings ? 1 : 0),
  );
};

/** What is left of each sitting, the felted ones taken off the first. */
const groupsOf = (work: Work, sizes: readonly number[]): readonly Group[] => {
  const isMany = work.count > 1 && work.phase === 'felt' && work.felted > 0;
  if (!isMany)
    return sizes.map((count, i) => ({
      key: i + 1,
      sittings: sizes.length,
      count,
      begins: work.phase,
      // What was spent is spread over all of them.
      spentMin: (work.spentMin * count) / work.count,
    }));
  let done = work.felted;
  const sittings = sizes.length;
  return sizes.flatMap((count, i): readonly Group[] => {
    const through = Math.min(count, done);
    done -= through;
    return [
      ...(through > 0
        ? [{ key: i + 1, sittings, count: through, begins: 'finish' as const, spentMin: 0 }]
        : []),
      ...(count > through
        ? [{ key: i + 1, sittings, count: count - through, begins: 'lay' as const, spentMin: 0 }]
        : []),
    ];
  });
};

/**
 * The sittings of a work, and what is left of each.
 * @param feltEach minutes that one takes to felt, > 0  @param sittingMin the longest that hands stand, min
 */
export const sittingsOf = (work: Work, feltEach: number, sittingMin: number): readonly Group[] =>
  groupsOf(work, sizesOf(work, feltEach, sittingMin));
