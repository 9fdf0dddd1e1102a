import { hashKey, QueriesObserver, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { type Asked, useCalmState } from './useCalm';

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

/** What the cache holds under some names, in their order, as `useCalm` tells of one; the same list as long as nothing of it changes. */
export const useCalmMany = <T>(asked: ReadonlyArray<Asked<T>>): ReadonlyArray<T | undefined> => {
  const client = useQueryClient();
  const hash = hashKey(asked.map(a => a.queryKey));
  const asks = (): { hash: string; asked: typeof asked; known: ReadonlyArray<T | undefined> } => ({
    hash,
    asked,
    known: asked.map(a => client.getQueryData<T>(a.queryKey)),
  });
  const [question, setQuestion] = useState(asks);
  if (question.hash !== hash) setQuestion(asks());
  const { seen, setSeen, calmly, forget } = useCalmState<{
    readonly question: object;
    readonly of: ReadonlyArray<T | undefined>;
  }>();
  useEffect(() => {
    const observer = new QueriesObserver(client, [...question.asked]);
    let latest = question.known;
    const take = (): void => {
      const of = question.asked.map(a => client.getQueryData<T>(a.queryKey));
      if (isSame(of, latest)) return;
      const isFirst = latest.includes(undefined);
      latest = of;
      const set = (): void => setSeen({ question, of });
      if (isFirst) set();
      else calmly(of, set);
    };
    const leave = observer.subscribe(take);
    // What came between the drawing and now.
    take();
    return () => {
      forget();
      leave();
    };
  }, [client, question, setSeen, calmly, forget]);
  return seen?.question === question ? seen.of : question.known;
};
