import { type ComponentType, type ReactNode, useEffect, useState } from 'react';

interface State<P> {
  readonly Part: ComponentType<P> | null;
  /** Why it did not come. */
  readonly failure: { readonly error: unknown } | null;
}

/** A part that is fetched when it is first shown, or ahead of that. */
export interface LaterPart<P> {
  (props: P): ReactNode;
  readonly fetch: () => Promise<unknown>;
}

/**
 * A part of the interface that comes later, and is shown in the moment it is there. React's own way lets each reveal wait until 300 ms after the
 * one before, which adds up to most of an opening. One that does not come throws where it is shown; shown again, it is asked for again.
 * @param before what stands in its place until then
 */
export const later = <P extends object>(
  load: () => Promise<ComponentType<P>>,
  before: ReactNode = null,
): LaterPart<P> => {
  let there: ComponentType<P> | null = null;
  let coming: Promise<ComponentType<P>> | null = null;
  const fetch = async (): Promise<ComponentType<P>> => {
    coming ??= load();
    try {
      there = await coming;
      return there;
    } catch (error) {
      coming = null;
      throw error;
    }
  };
  const Later = (props: P): ReactNode => {
    const [{ Part, failure }, setState] = useState<State<P>>(() => ({ Part: there, failure: null }));
    const isThere = Part !== null;
    useEffect(() => {
      if (isThere) return undefined;
      let isShown = true;
      fetch().then(
        came => isShown && setState({ Part: came, failure: null }),
        (error: unknown) => isShown && setState({ Part: null, failure: { error } }),
      );
      return () => {
        isShown = false;
      };
    }, [isThere]);
    if (failure) throw failure.error;
    return Part ? <Part {...props} /> : before;
  };
  return Object.assign(Later, { fetch });
};
