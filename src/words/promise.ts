import { SURE } from '../core/schedule/readiness';
import { chanceWords } from './schedule';

/** What is said of a promise: first the word that counts, then what would do. */
export interface PromiseWords {
  readonly head: string;
  readonly more: readonly string[];
  /** True where it is likely to be ready, or has no day. */
  readonly isLikely: boolean;
}

/** What would do is told where it makes it so much likelier. */
const WORTH = 0.15;

/**
 * Whether a promise is likely to be ready by its day; if not, when it can be, and how many can be made by then.
 * @param ready its chance, 0 to 1, or null without a day; days are as the maker writes them, null where it does not fit
 */
export const promiseWords = (ready: {
  readonly chance: number | null;
  readonly due: string | null;
  readonly likelyBy: string | null;
  readonly most: number | null;
  readonly toMake: number;
  /** Chances if it dried over warm air, and with an hour more of hands each time; null where nobody asked. */
  readonly ifWarm: number | null;
  readonly ifLonger: number | null;
}): PromiseWords => {
  const { chance, due, likelyBy, most, toMake, ifWarm, ifLonger } = ready;
  const open = 'It does not fit into your hours. Give more of them, or a later day.';
  if (chance === null)
    return {
      head: likelyBy === null ? open : `Ready by ${likelyBy}, 8 times in 10.`,
      more: [],
      isLikely: likelyBy !== null,
    };
  const isLikely = chance >= SURE;
  const head =
    chance >= 1 || chance <= 0
      ? `${chance >= 1 ? 'As good as certain' : 'No chance'} to be ready by ${due ?? ''}.`
      : `${chanceWords(chance)} to be ready by ${due ?? ''}.`;
  if (isLikely) return { head, more: [], isLikely };
  return {
    head,
    more: [
      likelyBy === null
        ? open
        : `It can be ready ${likelyBy === due ? 'later that day' : `by ${likelyBy}`}, 8 times in 10.`,
      ...(most === null
        ? []
        : [most === 0 ? 'None can be made by then.' : `About ${most} of the ${toMake} can be made by then.`]),
      ...(ifWarm !== null && ifWarm >= chance + WORTH
        ? [`Dried over warm air: ${chanceWords(ifWarm)}.`]
        : []),
      ...(ifLonger !== null && ifLonger >= chance + WORTH
        ? [`With an hour more each time: ${chanceWords(ifLonger)}.`]
        : []),
    ],
    isLikely,
  };
};
