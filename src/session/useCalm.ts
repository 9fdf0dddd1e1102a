import {
  hashKey,
  type QueryObserverOptions,
  type QueryObserverResult,
  QueryObserver,
  useQueryClient,
} from '@tanstack/react-query';
import { startTransition, useEffect, useState } from 'react';

/** What is asked of the cache: by which name, and how it is found out. */
type Asked<T> = Omit<QueryObserverOptions<T>, 'queryKey'> & { readonly queryKey: readonly unknown[] };

/** What came of it, under which name. */
interface Seen<T> {
  readonly hash: string;
  readonly result: Pick<QueryObserverResult<T>, 'data' | 'isFetching' | 'error' | 'refetch'>;
}

/**
 * Follows a name of the cache, and tells what it holds: the first time at once, later between two keys.
 * @param keeps whether what is known under the name before stands until there is something under this one
 */
const useFollowed = <T>(
  asked: Asked<T>,
  keeps: boolean,
): { readonly seen: Seen<T> | null; readonly hash: string } => {
  const client = useQueryClient();
  const hash = hashKey(asked.queryKey);
  const [seen, setSeen] = useState<Seen<T> | null>(null);
  // The same name is the same question, however often it is put.
  const [question, setQuestion] = useState({ hash, asked });
  if (question.hash !== hash) setQuestion({ hash, asked });
  useEffect(() => {
    const observer = new QueryObserver<T>(client, question.asked);
    let isFirst = client.getQueryData(question.asked.queryKey) === undefined;
    const seenNow =
      (result: QueryObserverResult<T>) =>
      (was: Seen<T> | null): Seen<T> => ({
        hash: question.hash,
        result: keeps && was && result.data === undefined ? { ...result, data: was.result.data } : result,
      });
    const take = (result: QueryObserverResult<T>): void => {
      const set = (): void => setSeen(seenNow(result));
      if (isFirst) set();
      else startTransition(set);
      if (result.data !== undefined) isFirst = false;
    };
    const leave = observer.subscribe(take);
    // What came between the drawing and now.
    const now = observer.getCurrentResult();
    startTransition(() => setSeen(seenNow(now)));
    return leave;
  }, [client, question, keeps]);
  return { seen, hash };
};

/**
 * What the cache holds under a name, kept in step; undefined while it is read. Views that follow from it are drawn between two keys, in slices: a
 * letter is seen before the lists that it stands in. What a handle steps from is asked for promptly instead, by `useQuery`.
 */
export const useCalm = <T>(asked: Asked<T>): T | undefined => {
  const client = useQueryClient();
  const { seen, hash } = useFollowed(asked, false);
  return seen?.hash === hash ? seen.result.data : client.getQueryData<T>(asked.queryKey);
};

/** An answer of a worker, drawn between two keys; until it is there, the one before it stands, and it is said that a later one is on its way. */
export const useCalmAnswer = <T>(
  asked: Asked<T>,
): Pick<QueryObserverResult<T>, 'data' | 'isFetching' | 'error' | 'refetch'> | null => {
  const { seen, hash } = useFollowed(asked, true);
  if (!seen) return null;
  return seen.hash === hash ? seen.result : { ...seen.result, isFetching: true, error: null };
};
