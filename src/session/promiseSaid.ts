import { type PromiseWords, promiseWords } from '../words/promise';
import { sayDay } from './clock';
import type { SureBy } from './useOpenWork';

const MINUTE_MS = 60_000;

/** What is said of a promise, its days as the maker writes them. @param due minutes from the moment that `ready` counts from */
export const promiseSaid = (ready: SureBy, due: number | null): PromiseWords => {
  const day = (minute: number | null): string | null =>
    minute === null ? null : sayDay(ready.nowMs + minute * MINUTE_MS);
  return promiseWords({
    ...ready,
    due: day(due),
    likelyBy: day(ready.likelyBy),
  });
};
