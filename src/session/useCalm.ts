import {
  hashKey,
  type QueryObserverOptions,
  type QueryObserverResult,
  QueryObserver,
  useQueryClient,
} from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';

/** What is asked of the cache: by which name, and how it is found out. */
export type Asked<T> = Omit<QueryObserverOptions<T>, 'queryKey'> & { readonly queryKey: readonly unknown[] };

/** What came of it, and of which question: what was seen under the same name before it was asked anew is old. */
interface Seen<T> {
  readonly question: object;
  /** What was told. */
  readonly of: object;
  readonly result: Pick<QueryObserverResult<T>, 'data' | 'isFetching' | 'error' | 'refetch'>;
}

/** What is being drawn between two keys and is not on the screen yet, by who shows it. */
const beingDrawn = new Map<object, { readonly of: object; readonly set: () => void }>();

/**
 * Brings what is being drawn between two keys to the screen at once: whoever taps now taps on what is so, and no handle steps from what was.
 * @param draw draws what is set in what it is given before it returns
 */
export const drawNow = (draw: (set: () => void) => void): void => {
  if (beingDrawn.size === 0) return;
  const sets = [...beingDrawn.values()].map(({ set }) => set);
  beingDrawn.clear();
  draw(() => {
    for (const set of sets) set();
  });
};

/**
 * Something shown that is drawn between two keys.
 * @returns what is shown; how it is set; how that is done calmly, so that `drawNow` brings it to the screen until it is there; and how to forget it,
 *   where something else is asked
 */
export const useCalmState = <S extends { readonly of: object }>() => {
  const [seen, setSeen] = useState<S | null>(null);
  useEffect(() => {
    if (beingDrawn.get(setSeen)?.of === seen?.of) beingDrawn.delete(setSeen);
  }, [seen]);
  const calmly = useCallback((of: object, set: () => void): void => {
    beingDrawn.set(setSeen, { of, set });
    startTransition(set);
  }, []);
  const forget = useCallback((): void => void beingDrawn.delete(setSeen), []);
  return { seen, setSeen, calmly, forget };
};

/**
 * What a hand chooses, drawn between two keys, in slices; a key or tap that comes before finds it drawn.
 * @param start as it is before anything was chosen
 * @returns as it is drawn; how a part of it is changed, by what was chosen last, drawn or not
 */
export const useCalmChanges = <S extends object>(
  start: S,
): readonly [drawn: S, change: (how: (was: S) => Partial<S>) => void] => {
  const { seen, setSeen, calmly } = useCalmState<{ readonly of: object; readonly state: S }>();
  const last = useRef(start);
  const change = useCallback(
    (how: (was: S) => Partial<S>): void => {
      const state = { ...last.current, ...how(last.current) };
      last.current = state;
      const of = {};
      calmly(of, () => setSeen({ of, state }));
    },
    [calmly, setSeen],
  );
  return [seen?.state ?? start, change];
};

/**
 * Follows a name of the cache, and tells what it holds: the first time at once, later between two keys.
 * @param keeps whether it is an answer: what is known under the name before stands until there is one under this; and as nobody has seen it yet, it is no
 *   ground for what a hand does now. What is kept is: it is drawn before the next tap does anything.
 */
const useFollowed = <T>(
  asked: Asked<T>,
  keeps: boolean,
): { readonly seen: Seen<T> | null; readonly isCurrent: boolean } => {
  const client = useQueryClient();
  const hash = hashKey(asked.queryKey);
  const { seen, setSeen, calmly, forget } = useCalmState<Seen<T>>();
  // The same name is the same question, however often it is put; whether it is put yet is told apart.
  const known = client.getQueryData<T>(asked.queryKey);
  // Where nothing is shown yet there is nothing to keep calm.
  const asks = { hash, asked, known, isFirst: known === undefined && !(keeps && seen) };
  const [question, setQuestion] = useState(asks);
  if (question.hash !== hash || question.asked.enabled !== asked.enabled) setQuestion(asks);
  useEffect(() => {
    const observer = new QueryObserver<T>(client, question.asked);
    let { isFirst } = question;
    const see = (of: QueryObserverResult<T>): void =>
      setSeen(was => {
        const result = keeps && was && of.data === undefined ? { ...of, data: was.result.data } : of;
        return { question, of, result };
      });
    const take = (of: QueryObserverResult<T>): void => {
      const set = (): void => see(of);
      if (isFirst) set();
      else if (keeps) startTransition(set);
      else calmly(of, set);
      if (of.data !== undefined) isFirst = false;
    };
    const leave = observer.subscribe(take);
    // What came between the drawing and now.
    const now = observer.getCurrentResult();
    if (keeps || now.data !== question.known) startTransition(() => see(now));
    return () => {
      forget();
      leave();
    };
  }, [client, question, keeps, setSeen, calmly, forget]);
  return { seen, isCurrent: seen?.question === question };
};

/**
 * What the cache holds under a name, kept in step; undefined while it is read. Views that follow from it are drawn between two keys, in slices: a
 * letter is seen before the lists that it stands in. Whoever taps meanwhile finds it drawn: see `drawNow`.
 */
export const useCalm = <T>(asked: Asked<T>): T | undefined => {
  const client = useQueryClient();
  const { seen, isCurrent } = useFollowed(asked, false);
  return seen && isCurrent ? seen.result.data : client.getQueryData<T>(asked.queryKey);
};

/** An answer of a worker, drawn between two keys; until it is there, the one before it stands, and it is said that a later one is on its way. */
export const useCalmAnswer = <T>(
  asked: Asked<T>,
): Pick<QueryObserverResult<T>, 'data' | 'isFetching' | 'error' | 'refetch'> | null => {
  const { seen, isCurrent } = useFollowed(asked, true);
  if (!seen) return null;
  return isCurrent ? seen.result : { ...seen.result, isFetching: true, error: null };
};
